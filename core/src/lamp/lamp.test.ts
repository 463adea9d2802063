import reference from '../../reference/luminaire.json';
import { dliOfSteadyLight } from '../units';
import { unit, vec, type Rectangle, type Vec } from '../room';
import { beamPpfd, circuitHours, linePpfd, panelPpfd, type Receptor } from './index';

interface Fixture {
  kind: string;
  ppf?: number;
  source?: number[];
  aim?: number[];
  beam_fwhm_deg?: number;
  size?: number[];
  length?: number;
  axis?: string;
}

const toVec = ([x, y, z]: number[]): Vec => vec(x!, y!, z!);

function ppfdOf(c: Fixture & Record<string, unknown>, receptor: Receptor): number {
  const ppf = c.ppf!;
  const source = toVec(c.source!);
  const aim = unit(toVec(c.aim ?? [0, 0, -1]));
  if (c.kind === 'lambertian_point') return beamPpfd({ ppf, source, aim, beamDeg: 120 }, receptor);
  if (c.kind === 'cosm_beam') return beamPpfd({ ppf, source, aim, beamDeg: c.beam_fwhm_deg! }, receptor);
  if (c.kind === 'lambertian_panel') return panelPpfd(ppf, panelOf(c, source, aim), receptor);
  const axis = c.axis === 'y' ? vec(0, 1, 0) : vec(1, 0, 0);
  return linePpfd(
    { ppf, centre: source, axis, lengthM: c.length!, aim: c.kind === 'tube_strip' ? aim : null },
    receptor,
  );
}

function panelOf(c: Fixture & Record<string, unknown>, centre: Vec, aim: Vec): Rectangle {
  const u = c.u ? toVec(c.u as number[]) : vec(1, 0, 0);
  const v = c.v ? toVec(c.v as number[]) : vec(0, 1, 0);
  const [sizeU, sizeV] = c.size as [number, number];
  const corner = vec(
    centre.x - (u.x * sizeU + v.x * sizeV) / 2,
    centre.y - (u.y * sizeU + v.y * sizeV) / 2,
    centre.z - (u.z * sizeU + v.z * sizeV) / 2,
  );
  return { corner, edgeU: u, edgeV: v, sizeU, sizeV, normal: aim };
}

describe('PPFD of lamps against the reference cases', () => {
  it.each(reference.cases.map((c) => ({ ...c, label: `${c.id} ${c.kind}` })))('$label', (given) => {
    const c = given as unknown as Fixture & {
      parts?: Fixture[];
      receptor: number[];
      normal: number[];
      ppfd: number;
      hours?: number;
      dli_mol_m2_d?: number;
    };
    const receptor = { point: toVec(c.receptor), normal: toVec(c.normal) };
    const parts = (c.parts ?? [c]) as (Fixture & Record<string, unknown>)[];
    const ppfd = parts.reduce((sum, part) => sum + ppfdOf(part, receptor), 0);
    expect(Math.abs(ppfd / c.ppfd - 1)).toBeLessThan(0.001);
    if (c.hours === undefined) return;
    expect(Math.abs(dliOfSteadyLight(ppfd, c.hours) / c.dli_mol_m2_d! - 1)).toBeLessThan(0.001);
  });
});

describe('what lamps never do', () => {
  const below: Receptor = { point: vec(0, 0, 0), normal: vec(0, 0, 1) };

  it('give nothing behind themselves or behind the leaf', () => {
    expect(beamPpfd({ ppf: 50, source: vec(0, 0, 1), aim: vec(0, 0, 1), beamDeg: 120 }, below)).toBe(0);
    expect(beamPpfd({ ppf: 50, source: vec(0, 0, -1), aim: vec(0, 0, 1), beamDeg: 120 }, below)).toBe(0);
  });

  it('send more through a floor than they make', () => {
    const lamp = { ppf: 50, source: vec(0, 0, 0.5), aim: vec(0, 0, -1), beamDeg: 60 };
    const step = 0.05;
    let sum = 0;
    for (let x = -4; x <= 4; x += step) {
      for (let y = -4; y <= 4; y += step)
        sum += beamPpfd(lamp, { point: vec(x, y, 0), normal: vec(0, 0, 1) }) * step * step;
    }
    expect(sum).toBeLessThanOrEqual(50.01);
    expect(sum).toBeGreaterThan(49);
  });

  it('burn in months their timer rests', () => {
    const circuit = { onMinute: 8 * 60, offMinute: 20 * 60, months: [11, 12, 1, 2] };
    expect(circuitHours(circuit, 12)).toBe(12);
    expect(circuitHours(circuit, 6)).toBe(0);
  });
});
