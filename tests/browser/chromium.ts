import { type Browser, chromium } from 'playwright-core';

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** The browser of the tests, the pictures and the bench. */
export const launch = (): Promise<Browser> =>
  chromium.launch({ executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args });
