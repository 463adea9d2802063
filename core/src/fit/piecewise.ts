/** Straight lines between stated points. */

/** Points of a line, x rising. */
export type Line = readonly (readonly [x: number, y: number])[];

/** Where a line stands at x; level before its first point and after its last. */
export function along(line: Line, x: number): number {
  const next = line.findIndex(([at]) => at >= x);
  if (next === -1) return line[line.length - 1]![1];
  if (next === 0) return line[0]![1];
  const [x0, y0] = line[next - 1]!;
  const [x1, y1] = line[next]!;
  return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
}
