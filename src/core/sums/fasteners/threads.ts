import { demand } from '../../refusal';

/** Coarse pitch in millimetres. ISO 724, ISO 261. */
const PITCH: Record<string, number> = {
  'M1.6': 0.35,
  M2: 0.4,
  'M2.5': 0.45,
  M3: 0.5,
  'M3.5': 0.6,
  M4: 0.7,
  M5: 0.8,
  M6: 1,
  M8: 1.25,
  M10: 1.5,
  M12: 1.75,
};
export const THREADS = Object.keys(PITCH);

/**
 * Diameter and stress area of a metric coarse thread: `A_s = π/4 · ((d2 + d3)/2)²`, rounded to three
 * digits as the table of ISO 898-1 prints it.
 *
 * @param thread M1.6 to M12
 * @returns millimetres and square millimetres
 * @throws Refusal when the thread is not a coarse metric one of that range
 * @example stressArea('M3').areaMm2 // 5.03
 */
export function stressArea(thread: string): { diameterMm: number; pitchMm: number; areaMm2: number } {
  const name = thread.trim().toUpperCase().replace(',', '.');
  const pitchMm = PITCH[name];
  demand(pitchMm, `${thread} is no coarse metric thread from M1.6 to M12`, '/thread');
  const diameterMm = Number(name.slice(1));
  const mean = diameterMm - (0.649519 + 1.226869) * 0.5 * pitchMm;
  const areaMm2 = Number(((Math.PI / 4) * mean * mean).toPrecision(3));
  return { diameterMm, pitchMm, areaMm2 };
}
