import type { Dimension, PartKind } from '@sprocket/core';

/** One field of a part's data sheet: where it lives, what it is called, what it measures. */
export interface PartField {
  path: string;
  label: string;
  dimension?: Dimension;
  digits?: number;
  type?: 'text' | 'number' | 'teeth' | 'switch' | 'beads' | 'numbers';
  options?: readonly string[];
  /** May be left empty for “nobody knows”. */
  unknown?: boolean;
}

const common: PartField[] = [
  { path: 'name', label: 'Name', type: 'text' },
  { path: 'maker', label: 'Maker', type: 'text' },
  { path: 'massKg', label: 'Mass', dimension: 'mass' },
  { path: 'price', label: 'Price', dimension: 'money', digits: 0 },
];

/** Fields by kind, in the order a data sheet gives them. Hub and mid-drive fields show where the part has them. */
export const partFields: Record<PartKind, PartField[]> = {
  kit: [
    ...common,
    { path: 'ratedW', label: 'Rated power', dimension: 'power' },
    { path: 'nominalVolts', label: 'Made for', dimension: 'voltage' },
    { path: 'assistLimitMs', label: 'Assist ends at', dimension: 'speed' },
    { path: 'systemLimitKg', label: 'System limit', dimension: 'mass' },
    { path: 'motor.ktNmPerA', label: 'Torque constant, N·m/A', type: 'number' },
    { path: 'motor.resistanceOhm', label: 'Winding resistance', dimension: 'resistance' },
    { path: 'motor.reduction', label: 'Reduction', type: 'number' },
    { path: 'controller.batteryLimitA', label: 'Battery current limit', dimension: 'current' },
    { path: 'controller.phaseLimitA', label: 'Phase current limit', dimension: 'current' },
    { path: 'controller.maxVolts', label: 'Controller bears', dimension: 'voltage' },
    { path: 'controller.cutoffVolts', label: 'Controller cuts off at', dimension: 'voltage' },
    { path: 'hub.dropoutSpacingM', label: 'Hub across its faces', dimension: 'size' },
    { path: 'hub.axleFlatsM', label: 'Axle across flats', dimension: 'size', digits: 2 },
    { path: 'hub.axleDiameterM', label: 'Axle diameter', dimension: 'size' },
    { path: 'hub.beadsM', label: 'Wheel bead seats, mm', type: 'beads' },
    { path: 'hub.clusterMount', label: 'Cogs go on', options: ['freewheel', 'cassette', 'none'] },
    { path: 'hub.maxCogs', label: 'Room for cogs', type: 'number' },
    { path: 'hub.disc', label: 'Takes a disc', type: 'switch' },
    { path: 'hub.rimBrakeTrack', label: 'Rim has a brake track', type: 'switch' },
    { path: 'mid.shellWidthsM.least', label: 'Narrowest shell', dimension: 'size' },
    { path: 'mid.shellWidthsM.most', label: 'Widest shell', dimension: 'size' },
    { path: 'mid.boreM.least', label: 'Smallest bore', dimension: 'size' },
    { path: 'mid.boreM.most', label: 'Bore it fills', dimension: 'size' },
    { path: 'mid.ringTeeth', label: 'Ring supplied, teeth', type: 'number' },
    { path: 'mid.ringMount', label: 'Ring bolt circle', type: 'text' },
    { path: 'throttle', label: 'Has a throttle', type: 'switch' },
  ],
  pack: [
    ...common,
    { path: 'chemistry', label: 'Chemistry', options: ['nmc', 'lfp', 'lead'] },
    { path: 'origin', label: 'Comes', options: ['new', 'used', 'homeMade'] },
    { path: 'health', label: 'Left of its first capacity', dimension: 'share', unknown: true },
    { path: 'series', label: 'Cells in series', type: 'number' },
    { path: 'parallel', label: 'Cells in parallel', type: 'number' },
    { path: 'cellAh', label: 'One cell holds', dimension: 'charge' },
    { path: 'cellOhm', label: 'One cell resists', dimension: 'resistance' },
    { path: 'cellContinuousA', label: 'One cell gives continuously', dimension: 'current', unknown: true },
    { path: 'boardA', label: 'Protection board', dimension: 'current', unknown: true },
    { path: 'cutoffVPerCell', label: 'Cut-off a cell', dimension: 'voltage', digits: 2 },
    { path: 'outline.lengthM', label: 'Length with rail', dimension: 'size' },
    { path: 'outline.heightM', label: 'Height off the tube', dimension: 'size' },
    { path: 'outline.widthM', label: 'Width', dimension: 'size' },
    { path: 'slideOffM', label: 'Slide-off travel', dimension: 'size' },
    { path: 'form', label: 'Case', options: ['slab', 'wedge', 'brick', 'bag', 'tubeCase', 'custom'] },
    { path: 'leaves', label: 'Leaves its rail', options: ['along', 'off', 'sideways'] },
    { path: 'latchEnd', label: 'Latch at its end', options: ['low', 'high'] },
    { path: 'plugAt', label: 'Plug at', options: ['side', 'low', 'high'] },
  ],
  ring: [
    ...common,
    { path: 'teeth', label: 'Teeth', type: 'number' },
    { path: 'mount', label: 'Bolt circle, e.g. bcd104', type: 'text' },
    { path: 'offsetM', label: 'Teeth inboard of the spider', dimension: 'size' },
  ],
  cluster: [
    ...common,
    { path: 'cogs', label: 'Cogs, teeth', type: 'teeth' },
    { path: 'mount', label: 'Goes on as', options: ['freewheel', 'cassette'] },
  ],
  hubGear: [
    ...common,
    { path: 'ratios', label: 'Internal ratios, lowest first', type: 'numbers' },
    { path: 'efficiency', label: 'Efficiency', type: 'number' },
    { path: 'leastRatio', label: 'Least ring ÷ cog', type: 'number' },
    { path: 'mostRatio', label: 'Greatest ring ÷ cog', type: 'number' },
    { path: 'mostTorqueNm', label: 'Bears at its input', dimension: 'torque' },
    { path: 'cog', label: 'Cog supplied, teeth', type: 'number' },
    { path: 'cogs.most', label: 'Largest cog that goes on', type: 'number' },
    { path: 'dropoutSpacingM', label: 'Between the ends', dimension: 'size' },
    { path: 'spokes', label: 'Spoke holes', type: 'number' },
    { path: 'flangeRadiusM', label: 'Flange circle, radius', dimension: 'size' },
  ],
  rim: [
    ...common,
    { path: 'beadM', label: 'Bead seat', dimension: 'size' },
    { path: 'innerM', label: 'Width inside', dimension: 'size' },
    { path: 'holes', label: 'Holes', type: 'number' },
    { path: 'erdM', label: 'Effective diameter', dimension: 'size' },
  ],
  fitting: [
    ...common,
    { path: 'thicknessM', label: 'Takes up of an axle', dimension: 'size', digits: 2 },
    { path: 'boreM', label: 'Bore', dimension: 'size' },
    { path: 'note', label: 'Note', type: 'text' },
  ],
  consumable: [
    ...common,
    { path: 'unit', label: 'Counted in', options: ['piece', 'm', 'g', 'ml'] },
    { path: 'amount', label: 'How much in one', type: 'number' },
  ],
  tool: [...common, { path: 'hire', label: 'A day’s hire', dimension: 'money', digits: 0 }],
  service: [...common, { path: 'note', label: 'What is done', type: 'text' }],
  cable: [
    ...common,
    { path: 'mm2', label: 'Copper, mm²', type: 'number' },
    { path: 'amps', label: 'Bears', dimension: 'current' },
  ],
  fuse: [
    ...common,
    { path: 'amps', label: 'Blows above', dimension: 'current' },
    { path: 'volts', label: 'Breaks up to', dimension: 'voltage' },
  ],
  control: [
    ...common,
    { path: 'tailM', label: 'Its tail', dimension: 'size', digits: 0 },
    { path: 'barM', label: 'Takes of the bar', dimension: 'size' },
    { path: 'plug.family', label: 'Plug’s family', type: 'text' },
    { path: 'plug.poles', label: 'Poles', type: 'number' },
    { path: 'watts', label: 'Takes of the pack', dimension: 'power' },
  ],
  extension: [
    ...common,
    { path: 'family', label: 'Family', type: 'text' },
    { path: 'poles', label: 'Poles', type: 'number' },
    { path: 'lengthM', label: 'Long', dimension: 'size', digits: 0 },
    { path: 'amps', label: 'Bears', dimension: 'current' },
  ],
  adapter: [
    ...common,
    { path: 'from.family', label: 'From', type: 'text' },
    { path: 'to.family', label: 'To', type: 'text' },
    { path: 'amps', label: 'Bears', dimension: 'current' },
  ],
  precharge: [
    ...common,
    { path: 'ohm', label: 'Resistance', dimension: 'resistance', digits: 0 },
    { path: 'watts', label: 'Bears for a second', dimension: 'power' },
  ],
  charger: [
    ...common,
    { path: 'series', label: 'Cells in a row', type: 'number' },
    { path: 'amps', label: 'Gives', dimension: 'current' },
    { path: 'plug.family', label: 'Plug’s family', type: 'text' },
    { path: 'plug.poles', label: 'Poles', type: 'number' },
  ],
  plug: [
    ...common,
    { path: 'family', label: 'Family', type: 'text' },
    { path: 'poles', label: 'Poles', type: 'number' },
    { path: 'amps', label: 'Bears', dimension: 'current' },
    { path: 'volts', label: 'Up to', dimension: 'voltage' },
    { path: 'headM', label: 'Head across', dimension: 'size' },
  ],
};
