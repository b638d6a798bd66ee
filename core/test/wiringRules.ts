/** Rules of a kit that hang on its leads, plugs and sensors, by id. */
export const wiringRules: readonly string[] = [
  'lead-lengths',
  'lead-way',
  'battery-plug',
  'control-plugs',
  'power-lead',
  'plug-spark',
  'cutoff-works',
  'cadence-sensor',
  'lamp-volts',
  'packs-joined',
  'meter-readings',
];
