import { type Setup, type Role, sizeOfBearing, type Stack } from '../../../core/press/index.ts';

export interface StackLine {
  key: string;
  kit: boolean;
  name: string;
  size: string;
  role?: Role;
}

/** The stack from top to bottom, in the order that the list names it. */
export function stackList(stack: Stack, { requirement: r }: Setup): StackLine[] {
  const piece = (role: Role): StackLine[] => {
    const a = stack[role];
    return a
      ? [
          {
            key: role,
            kit: true,
            name: a.name,
            size: `${a.outerMm} × ${a.innerMm || '–'} × ${a.heightMm}`,
            role,
          },
        ]
      : [];
  };
  const parts = r.picture.bodies
    .filter((b) => b.tag)
    .sort(
      (a, b) =>
        Number(a.houses ?? false) - Number(b.houses ?? false) || a.edge[0]![1] - b.edge[0]![1],
    )
    .map((b): StackLine => ({ key: b.key, kit: false, name: b.name, size: b.size }));
  const { bearing: drawn } = r.picture;
  const bearing: StackLine[] = drawn?.name
    ? [{ key: 'bearing', kit: false, name: drawn.name, size: sizeOfBearing(drawn.of) }]
    : [];
  const at = parts.findIndex((p) => p.key === 'knuckle');
  return [
    ...piece('cap'),
    ...piece('pusher'),
    ...parts.slice(0, Math.max(0, at)),
    ...bearing,
    ...parts.slice(Math.max(0, at)),
    ...piece('support'),
    ...piece('riser'),
  ];
}
