/** Ways to do a P1 job. Minutes and risk are engineering judgement; this version walks the bench press to the end. */
export interface Route {
  id: 'bench' | 'on-car' | 'sent-out' | 'whole-knuckle';
  name: string;
  alignment: string;
  risk: string;
  walked: boolean;
}

export const routes: readonly Route[] = [
  { id: 'on-car', name: 'On the car', alignment: 'not needed', risk: 'Needs a portable screw tool for this size; none is in the kit.', walked: false },
  { id: 'bench', name: 'Bench press', alignment: 'checked, 45 min', risk: 'Square and easy to see; alignment to be checked.', walked: true },
  { id: 'sent-out', name: 'Sent out', alignment: 'checked, 45 min', risk: 'The car stands overnight; no reading of the stroke.', walked: false },
  { id: 'whole-knuckle', name: 'Whole knuckle', alignment: 'checked, 45 min', risk: 'Dearest; right when the bore is worn.', walked: false },
];
export type RouteId = Route['id'];
