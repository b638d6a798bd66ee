import { cellVolts, countedAmps, type PackModel } from './battery.ts';

/** One reading of a discharge: amp-hours drawn so far, volts and amps at that moment. */
export interface DischargeReading {
  ah: number;
  volts: number;
  amps: number;
}

/** What a measured discharge says of a pack. */
export interface DischargeFit {
  cellOhm: number;
  /** Rise of its resistance from full to empty, as a factor added. */
  resistanceRise: number;
  /** Share of its rated capacity that came out, by the charge the volts tell at the last reading. */
  health: number;
  /** Root mean square of what is left between reading and fit, V. */
  errorV: number;
}

/** Least readings, and the least span of charge they must cover. */
const LEAST_READINGS = 4;
const LEAST_SPAN = 0.25;
/** Error, as a share of its full volts, past which the readings are no discharge of such a pack. */
const MOST_ERROR = 0.03;
const NOT_A_DISCHARGE = 'the volts do not fall as a pack of this make does: see that each reading is under load';

/**
 * Fits a pack's resistance, its rise towards empty and its health to a discharge with a meter. For each health tried,
 * volts under load are linear in cell resistance r and r·rise: OCV(s) − V − I·leads = I·n·(r + r·rise·(1 − s)), solved
 * by least squares; the health with the least error stands. Charge is counted as the ride model counts it.
 * @returns the fit, or a sentence on what the readings lack
 */
export function fitDischarge(pack: PackModel, readings: readonly DischargeReading[]): DischargeFit | string {
  const rows = readings.filter((r) => r.amps > 0);
  if (rows.length < LEAST_READINGS) return `at least ${LEAST_READINGS} readings under load are wanted`;
  const rated = pack.parallel * pack.cellAh;
  const n = pack.series / pack.parallel;
  // Peukert's counting of the amp-hours between readings.
  let counted = 0;
  let before = 0;
  const used = rows.map((row) => {
    const step = Math.max(0, row.ah - before);
    before = Math.max(before, row.ah);
    counted += (step * countedAmps(pack, row.amps, rated)) / row.amps;
    return counted;
  });
  const last = used.at(-1) ?? 0;
  if (last - (used[0] ?? 0) < LEAST_SPAN * rated * 0.2)
    return 'the readings must span more of the charge, from near full towards empty';
  const tried = (health: number): DischargeFit | null => {
    let [a11, a12, a22, b1, b2] = [0, 0, 0, 0, 0];
    const charge = used.map((ah) => 1 - ah / (rated * health));
    if (charge.some((s) => s < -0.02)) return null;
    rows.forEach((row, i) => {
      const s = Math.max(0, charge[i] as number);
      const x1 = row.amps * n;
      const x2 = x1 * (1 - s);
      const y = pack.series * cellVolts(pack.chemistry, s) - row.volts - row.amps * pack.leadOhm;
      a11 += x1 * x1;
      a12 += x1 * x2;
      a22 += x2 * x2;
      b1 += x1 * y;
      b2 += x2 * y;
    });
    const det = a11 * a22 - a12 * a12;
    if (Math.abs(det) < 1e-12) return null;
    let r = (b1 * a22 - b2 * a12) / det;
    let rise = (a11 * b2 - a12 * b1) / det;
    // No cell resists less than a tenth of a new one, nor less when empty: the other figure is then fitted alone.
    const floor = pack.cellOhm * 0.1;
    if (r < floor) {
      r = floor;
      rise = (b2 - r * a12) / a22;
    }
    if (rise < 0) {
      rise = 0;
      r = Math.max(floor, b1 / a11);
    }
    const square = rows.reduce((sum, row, i) => {
      const s = Math.max(0, charge[i] as number);
      const v =
        pack.series * cellVolts(pack.chemistry, s) - row.amps * pack.leadOhm - row.amps * n * (r + rise * (1 - s));
      return sum + (v - row.volts) ** 2;
    }, 0);
    return { cellOhm: r, resistanceRise: rise / r, health, errorV: Math.sqrt(square / rows.length) };
  };
  const fits = Array.from({ length: 81 }, (_, i) => tried(0.2 + i * 0.01)).filter((f) => f !== null);
  if (fits.length === 0)
    return 'the volts do not fall as a pack of this make does: see that each reading is under load';
  const best = fits.reduce((a, b) => (b.errorV < a.errorV - 1e-9 ? b : a));
  return best.errorV > MOST_ERROR * pack.series * cellVolts(pack.chemistry, 1) ? NOT_A_DISCHARGE : best;
}

/** Reads rows of “Ah, V, A” as typed or pasted from a meter; what does not read is told by its line. */
export function readDischarge(text: string): { ok: true; readings: DischargeReading[] } | { ok: false; line: number } {
  const readings: DischargeReading[] = [];
  const lines = text.split(/\r?\n/);
  for (let i = 0; i < lines.length; i++) {
    const line = (lines[i] as string).trim();
    if (line === '' || /^[^\d-]/.test(line)) continue;
    const [ah, volts, amps] = line.split(/[;\t ]+|,(?=\s|\d+\.)|,\s+/).map((t) => Number(t.replace(',', '.')));
    if (![ah, volts, amps].every((x) => x !== undefined && Number.isFinite(x) && x >= 0 && x < 1000))
      return { ok: false, line: i + 1 };
    readings.push({ ah: ah as number, volts: volts as number, amps: amps as number });
  }
  return { ok: true, readings };
}
