/** How the car stands for a test. */
export const stateWords = {
  driven: 'on the road',
  lifted: 'on the lift, engine off',
  'wheel-off': 'wheel off',
  off: 'part off',
} as const;
