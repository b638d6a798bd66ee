/**
 * Every physical constant and starting value of the models, each with unit and source.
 * Nothing elsewhere writes such a figure inline. "Project" as a source means our own
 * working figure, stated in docs/models.md, open to a better one.
 */

/** Standard gravity, m/s². Source: ISO 80000-3. */
export const GRAVITY = 9.80665;

/** Specific gas constant of dry air, J/(kg·K). Source: ISO 2533 standard atmosphere. */
export const AIR_GAS_CONSTANT = 287.05;

/** Sea-level pressure, Pa, and the two figures of the barometric formula. Source: ISO 2533. */
export const SEA_LEVEL_PRESSURE = 101325;
export const BAROMETRIC_LAPSE_PER_M = 2.25577e-5;
export const BAROMETRIC_EXPONENT = 5.25588;

/** 0 °C in K. Source: SI. */
export const ZERO_CELSIUS_K = 273.15;

/** Copper's resistance rise, 1/K, from 20 °C. Source: IEC 60028. */
export const COPPER_TEMPERATURE_COEFFICIENT = 0.00393;

/** Rider: hardest lift in speed the simulation asks for, m/s². Source: project, a calm start. */
export const GENTLE_ACCELERATION = 0.8;

/** Slowest rolling speed the simulation holds, m/s. Source: project; below this a rider dabs a foot. */
export const LEAST_ROLLING_SPEED = 0.8;

/** Pushing the vehicle on foot, m/s. Source: project; a loaded vehicle up a steep grade. */
export const WALKING_SPEED = 1;

/** Speed just after a stop, m/s. Source: project. */
export const SPEED_AFTER_STOP = 0.5;

/** Longest step of the ride simulation, m. Source: project. */
export const LONGEST_STEP = 10;

/** A repeated route is given up as endless at this distance, m. Source: project. */
export const LONGEST_RIDE = 1_000_000;

/** Winding temperatures between which a controller folds the output back, °C. Source: project, typical. */
export const FOLD_BACK_STARTS_C = 110;
export const FOLD_BACK_ENDS_C = 140;

/** Width of the fade of assist below its set speed, m/s (1 km/h). Source: project, typical controllers. */
export const ASSIST_FADE_WIDTH = 1 / 3.6;

/** Width in rpm over which a rider spins out below the top cadence. Source: project. */
export const SPIN_OUT_WIDTH_RPM = 10;
/** Cadence at which a rider gives nothing more, rpm. Source: project. */
export const TOP_CADENCE_RPM = 110;
/** Comfortable working cadence for gear tables, rpm. Source: project. */
export const EASY_CADENCE_RPM = 60;
export const BRISK_CADENCE_RPM = 80;

/** Regeneration: share of braking work returned to the pack, and its limits. Source: project. */
export const REGEN_RETURN = 0.65;
export const REGEN_LEAST_SPEED = 10 / 3.6;
export const REGEN_HIGHEST_CHARGE = 0.95;
export const REGEN_COLDEST_C = 0;

/** Peukert exponent less one, as used on the current ratio, for lead-acid. Source: project, typical gel. */
export const LEAD_PEUKERT = 0.18;
/** Peukert reference: the 20-hour rate. Source: trade convention for lead-acid. */
export const LEAD_REFERENCE_HOURS = 20;

/** Charge at which a lithium cell's resistance begins to rise, and its factor when empty. Source: project. */
export const LITHIUM_RISE_BELOW = 0.1;
export const LITHIUM_EMPTY_RESISTANCE = 1.5;
/** Rise of a lead-acid cell's resistance from full to empty, as a factor added. Source: project. */
export const LEAD_RESISTANCE_RISE = 1.5;

/** Charge-return efficiency when reckoning charge time. Source: project. */
export const CHARGE_EFFICIENCY = { nmc: 0.9, lfp: 0.9, lead: 0.75 } as const;

/** Pack current a controller asks for must be met with this margin. Source: project. */
export const PACK_CURRENT_MARGIN = 1.2;

/** Drivetrain efficiency from the rider's foot to the tyre. Source: project; chain tests in the literature give 0.93–0.98. */
export const DRIVETRAIN_EFFICIENCY = { derailleur: 0.95, hubGear: 0.91, stepless: 0.87 } as const;

/** Sustained rider power by effort, W. Source: project. */
export const EFFORT_WATTS = { none: 0, easy: 50, steady: 100, brisk: 150, hard: 200 } as const;

/** Rotating mass to add, kg: two ordinary wheels, and each further wheel. Source: project. */
export const ROTATING_MASS_TWO_WHEELS = 1.8;
export const ROTATING_MASS_FURTHER_WHEEL = 0.5;

/** Frontal drag area by posture, m². Source: project; spread ±8 %. */
export const DRAG_AREA = {
  tucked: 0.32,
  handsHigh: 0.4,
  flatBar: 0.5,
  upright: 0.6,
  tandem: 0.7,
  recumbentTrike: 0.35,
  uprightTrike: 0.8,
} as const;
/** Added drag area of each pannier pair or child seat, m². Source: project. */
export const DRAG_AREA_PANNIERS = 0.05;

/** Rolling resistance by tyre width on smooth asphalt. Source: project; spread ±15 %. */
export const TYRE_ROLLING = { road: 0.005, city: 0.007, knobbly: 0.01, fat: 0.013 } as const;
export const SMALL_WHEEL_ROLLING = 1.2;

/** Friction of a tyre on a dry surface. Source: project, cautious. */
export const SURFACE_GRIP = {
  asphalt: 0.7,
  chipSeal: 0.65,
  setts: 0.5,
  packedGravel: 0.5,
  looseGravel: 0.35,
  wetGrass: 0.25,
  softSand: 0.3,
} as const;
/** The same on a wet road, at most: what a start in the rain hangs on. Source: project. */
export const WET_GRIP = 0.4;

/** Below this share of the work the motor hardly works, and the way its charge lasts is no range. Source: project. */
export const LEAST_MOTOR_SHARE = 0.15;
/** A band whose middle is past this times its low end says nothing; first-order sums do not hold there either. Source: project. */
export const WIDEST_BAND = 1.6;
/** A range is told to rest on the legs where they do more than this share of the work. Source: project. */
export const RESTS_ON_LEGS = 0.5;

/** Steps of a kit whose maker names none: shares of its most at the tyre. Source: project, kits of five levels. */
export const LEVEL_SHARES = [0.2, 0.4, 0.6, 0.8, 1] as const;
/** Share of nominal volts × battery limit that comes out at the tyre. Source: project, geared hub at cruising speed. */
export const LEVEL_WATTS_AT_TYRE = 0.75;

/** Rolling resistance a surface adds. Source: project. */
export const SURFACE_ROLLING = {
  asphalt: 0,
  chipSeal: 0.002,
  setts: 0.006,
  packedGravel: 0.005,
  looseGravel: 0.012,
  wetGrass: 0.035,
  softSand: 0.1,
} as const;

/** Spread (one standard deviation) of the uncertain inputs. Source: project, docs/models.md. */
export const SPREAD = {
  dragArea: 0.08,
  rolling: 0.15,
  riderPower: 0.2,
  temperatureK: 5,
  load: 0.03,
  health: 0.03,
  stops: 0.3,
  windMs: 1.5,
  windTurnDeg: 25,
} as const;
/** Standard normal value that leaves one in ten outside on each side. Source: normal distribution. */
export const NORMAL_90 = 1.2815515655446004;

/** Part of a tyre's width that stands proud of the bead, each side. Source: project; inflated, unloaded. */
export const TYRE_HEIGHT_PER_WIDTH = 0.95;

/** Spreading a dropout, m, in all, by frame material. Source: workshop practice. */
export const SPREAD_LIMIT_STEEL = 0.005;
export const SPREAD_LIMIT_ALUMINIUM = 0.001;

/** Reaction torque above which an axle wants one, and two, torque arms, N·m. Source: project. */
export const ONE_ARM_ABOVE = 40;
export const TWO_ARMS_ABOVE = 80;

/** Clearance wanted around a battery in the frame, m. Source: workshop practice, room for foam and fingers. */
export const BATTERY_CLEARANCE_WANTED = 0.005;

/** Tape reading error, m (one reading, both ends). Source: project. */
export const TAPE_TOLERANCE = 0.003;
/** Caliper reading error, m. Source: project. */
export const CALIPER_TOLERANCE = 0.0002;

/** Mass of a pack where none is chosen yet, kg. Source: project, a common one. */
export const COMMON_PACK_MASS = 3;

/** Nominal volts within this share below a controller's class still count as the same class. Source: project. */
export const VOLTS_CLASS_WIDTH = 0.12;

/** Sizing backwards: slowest speed a climb is still ridden at, m/s; below it a rider wobbles. Source: project. */
export const CLIMB_AT_LEAST = 8 / 3.6;
/** Share of its life's capacity that a pack is reckoned to have lost. Source: the trade. */
export const AGEING = 0.2;
/** Margin on power and torque asked. Source: project. */
export const SIZING_MARGIN = 1.1;
/** Volts over a motor's own at cruise, for sag and a pack half empty. Source: project, a sixth. */
export const SAG_ALLOWANCE = 1.17;
/** From the battery's terminals to the tyre, all losses. Source: project, a middling hub. */
export const OVERALL_EFFICIENCY = 0.76;
/** From a mid-drive's phase current to its ring: gears, and the share the controller holds. Source: project. */
export const RING_TORQUE_SHARE = 0.86;
/** Grade a steady climb is told for where the road has no hill worth the name. Source: project. */
export const USUAL_HILL = 0.06;
/** A road's steepest stretch below this is no hill. Source: project. */
export const LEAST_HILL = 0.02;

/** Speed at which the brakes for a kit without limit are judged while no pack is in question, m/s. Source: project. */
export const UNLIMITED_SPEED = 12;

/** Resistance of copper, Ω·mm²/m at 20 °C. Source: IEC 60228. */
export const COPPER_OHM_MM2_PER_M = 0.0172;
/** Volts lost in a cable, at most, as a share. Source: workshop practice. */
export const CABLE_DROP_MOST = 0.03;
/** A fuse is at least so many times the battery limit. Source: workshop practice. */
export const FUSE_AT_LEAST = 1.25;
/** Least fuse as a multiple of the limit where a larger one would not protect the kit's own cable. Source: physics, going safely. */
export const FUSE_TIGHTEST = 1.1;

/** Cadence at which a bigger ring is asked for, rpm: easy at cruise. Source: project. */
export const EASY_TOP_CADENCE_RPM = 85;

/** What a rider standing on one pedal puts in at the cranks beside a motor, N·m. Source: project. */
export const RIDER_PEAK_TORQUE = 60;

/** Width play of a bracket shell, m: faced shells differ by this much. Source: workshop practice. */
export const WIDTH_PLAY = 0.0005;
/** Most of spacers between axle and shell, m: past it the motor hangs off its bearings. Source: workshop practice, a 120 mm axle in a 100 mm shell is ridden. */
export const MOST_SPACERS = 0.02;
/** Washers make up to this much of a too wide gap between ends and hub, m in all. Source: workshop practice. */
export const WASHER_LIMIT = 0.006;

/** Wet deceleration wanted of the brakes, m/s². Source: ISO 4210 asks 2.2 of a city bicycle in the wet. */
export const WET_STOPPING_WANTED = 2.2;

/** Readings of the conditions are trusted so far, one standard deviation. Source: models, §13; project. */
export const CONDITION_ERROR = {
  /** Charge by a gauge, as a share of full. */
  gauge: 0.05,
  /** Charge where nobody looked: taken for full, straight off the charger. */
  unlooked: 0.05,
  /** Volts of a meter, as a share. */
  volts: 0.005,
  /** Wind judged by feel or a small vane, m/s. */
  windMs: 0.7,
  temperatureK: 1,
  /** Everything on the scales, as a share. */
  mass: 0.005,
} as const;
