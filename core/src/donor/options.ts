/** What each choice of the survey can be. */

export const materials = ['steel', 'aluminium', 'titanium', 'carbon'] as const;
export type Material = (typeof materials)[number];
export const tubeShapes = ['straight', 'curved', 'none'] as const;
export const bracketKinds = [
  'threadedIso',
  'threadedItalian',
  'threadedFrench',
  'spanish',
  'pressFit',
  'onePiece',
  'eccentric',
] as const;
export type BracketKind = (typeof bracketKinds)[number];
export const threadHands = ['left', 'right', 'none'] as const;
export const underBrackets = ['nothing', 'cableGuide', 'openCables', 'bolt', 'standPlate'] as const;
export const crankFits = ['squareTaper', 'splined', 'cottered', 'onePiece'] as const;
export const axleHoldings = ['horizontalSlot', 'verticalSlot', 'throughAxle'] as const;
export const tipKinds = ['flat', 'recessed'] as const;
export const hangers = ['builtIn', 'replaceable', 'claw', 'none'] as const;
export const eyelets = ['none', 'one', 'two'] as const;
export const clusterKinds = ['freewheel', 'cassette', 'hubGear', 'single'] as const;
export type ClusterKind = (typeof clusterKinds)[number];

export const brakeKinds = ['rim', 'discCable', 'discHydraulic', 'drum', 'roller', 'coaster', 'none'] as const;
export type BrakeKind = (typeof brakeKinds)[number];
export const rotorMounts = ['sixBolt', 'splined', 'none'] as const;
export const forkKinds = ['rigid', 'suspension'] as const;
export const steerers = ['threaded25', 'threaded28', 'plain28', 'tapered'] as const;
export const standPlaces = ['plate', 'bareStays', 'busy'] as const;
export const yesNo = ['yes', 'no'] as const;
export const bossPlaces = ['none', 'downTube', 'seatTube', 'both'] as const;
export const cableRuns = ['top', 'down', 'internal', 'underBracket'] as const;
export const barShapes = ['flat', 'swept', 'drop', 'loop', 'tall', 'sideSticks'] as const;
export const leverKinds = ['separate', 'withShifter', 'dropBar', 'none'] as const;
export type LeverKind = (typeof leverKinds)[number];
/** What a lever pulls: an inner wire, two of them, oil in a hose, or a rod. */
export const leverPulls = ['cable', 'twoCables', 'hose', 'rod'] as const;
export type LeverPull = (typeof leverPulls)[number];
export const rimSurfaces = ['machined', 'painted', 'chromed', 'carbonRim'] as const;
export type RimSurface = (typeof rimSurfaces)[number];
export const finalDrives = ['chain', 'belt', 'shaft'] as const;
export const chainGuards = ['none', 'openGuard', 'fullCase'] as const;
export const shellPassages = ['nothing', 'cablesInside', 'hosesInside'] as const;
export const childSeats = ['none', 'onRack', 'onSeatTube', 'atBar'] as const;
export const rackCarries = ['none', 'bare', 'lamp', 'basket'] as const;
export const lampFeeds = ['none', 'ownCells', 'hubDynamo', 'tyreDynamo'] as const;
export const barCarries = ['bare', 'lamp', 'basketHook'] as const;
export const formerMotors = ['none', 'partsLeft', 'whole'] as const;
export const formerPacks = ['none', 'twoPoles', 'ownPlug'] as const;
export const carrierHolds = ['bar', 'frame', 'axle'] as const;
export const shifterKinds = ['trigger', 'twist', 'thumb', 'barEnd', 'onFrame', 'none'] as const;
export const standKinds = ['none', 'side', 'centre', 'twoLegged'] as const;
export const valves = ['narrow', 'wide'] as const;
export const drivenWheelSets = ['rear', 'rearLeft', 'rearRight', 'bothRear', 'front'] as const;
export const timingSides = ['sameSide', 'crossover'] as const;
export const shockPlaces = ['inTriangle', 'behindSeatTube', 'underBeam', 'none'] as const;
/** Ways to take the frame's inside: each is enough, together they check one another. */
export const insideSchemes = ['sides', 'diagonals', 'angles', 'outside', 'all'] as const;
export const frontCarriers = ['none', 'basket', 'rack'] as const;
export const handPlaces = ['above', 'underSeat', 'sideSticks'] as const;
