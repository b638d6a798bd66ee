import { isObject, type Loose } from './loose.ts';

/** The trailer a build of version 5 gets that only said it had one; written out, so that a later usual one does not reach back. */
const trailerThen = {
  massKg: 10,
  limitKg: null,
  wheels: 2,
  tyre: { beadM: 0.406, widthM: 0.047 },
  drawbarM: 0.95,
  loadAheadM: 0.08,
  hitch: 'axle',
  hitchBackM: 0.06,
  hitchUpM: 0.34,
  brake: 'none',
  cdaM2: 0.15,
  widthM: 0.75,
};

/** Schools that version 5 added, each on its more careful side. */
const schoolsNew = {
  hubArms: 'aboveTorque',
  controllerPlace: 'ownBox',
  levers: 'kitLevers',
  brakeLever: 'cutOnly',
  cadenceSensor: 'fitted',
  midAxle: 'exact',
  crankOffset: 'left',
  newChain: 'ifWorn',
  entry: 'dripLoop',
  leads: 'outside',
};

/**
 * Version 4 → 5: "which rider" became who is aboard, with a seat: the rider it was reckoned for steers, and on a tandem
 * the next of the riders sits second. "Trailer" became a thing: a common one, carrying the load that was not in
 * panniers. A hub gear can be chosen and parts measured on arrival; neither was.
 */
export function fromVersion4(build: Loose): Loose {
  const brief = isObject(build.brief) ? build.brief : {};
  const donor = isObject(build.donor) ? build.donor : {};
  const choice = isObject(build.choice) ? build.choice : {};
  const { riding, trailer, ...rest } = brief;
  const riders: unknown[] = Array.isArray(brief.riders) ? brief.riders : [];
  const steers = typeof riding === 'number' && riding >= 0 && riding < riders.length ? riding : 0;
  const second = donor.kind === 'tandem' ? riders.findIndex((_, i) => i !== steers) : -1;
  const towing = trailer === true;
  const moved = towing && brief.panniers !== true && typeof brief.cargoKg === 'number';
  return {
    ...build,
    version: 5,
    // What is no brief, or a damaged one, is left for the reader to name.
    ...(isObject(build.brief)
      ? {
          brief: {
            ...rest,
            aboard: [
              { rider: steers, seat: 'main', pedals: true },
              ...(second < 0 ? [] : [{ rider: second, seat: 'second', pedals: true }]),
            ],
            trailer: towing ? { ...trailerThen, loadKg: moved ? brief.cargoKg : 0 } : null,
            ...(moved ? { cargoKg: 0 } : {}),
          },
        }
      : {}),
    choice: { ...choice, hubGearId: null },
    schools: { ...(isObject(build.schools) ? build.schools : {}), ...schoolsNew },
    arrivals: {},
  };
}
