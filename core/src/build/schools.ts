import { z } from '../reading/zod.ts';

/** On which side the builder stands where good converters differ. The reasons are in fit/schools. */
export const schoolsSchema = z.object({
  carbon: z.enum(['refuse', 'midOnly', 'untouched']),
  midArm: z.enum(['always', 'ifLoosens']),
  hubGearMid: z.enum(['smooth', 'complexity']),
  cutoffs: z.enum(['always', 'withThrottle']),
  throttle: z.enum(['scaled', 'full']),
  wheelSize: z.enum(['match', 'smaller']),
  battery: z.enum(['frame', 'rack']),
  donorAge: z.enum(['oldSimple', 'newerDiscs']),
  kitSource: z.enum(['oneSupplier', 'mix']),
  leadAcid: z.enum(['lastResort', 'accept']),
  rimBrakes: z.enum(['upgraded', 'discs']),
  hubArms: z.enum(['always', 'aboveTorque']).default('aboveTorque'),
  controllerPlace: z.enum(['ownBox', 'inMotor']).default('ownBox'),
  levers: z.enum(['kitLevers', 'keepOwn']).default('kitLevers'),
  brakeLever: z.enum(['cutOnly', 'electric']).default('cutOnly'),
  cadenceSensor: z.enum(['fitted', 'leftOff']).default('fitted'),
  midAxle: z.enum(['exact', 'longer']).default('exact'),
  crankOffset: z.enum(['corrected', 'left']).default('left'),
  newChain: z.enum(['ifWorn', 'always']).default('ifWorn'),
  entry: z.enum(['dripLoop', 'sealed']).default('dripLoop'),
  leads: z.enum(['outside', 'inside']).default('outside'),
});
export type Schools = z.infer<typeof schoolsSchema>;
export type SchoolId = keyof Schools;

/** Where a new build starts: the more careful side of each. */
export const usualSchools: Schools = {
  carbon: 'refuse',
  midArm: 'ifLoosens',
  hubGearMid: 'smooth',
  cutoffs: 'always',
  throttle: 'scaled',
  wheelSize: 'match',
  battery: 'frame',
  donorAge: 'oldSimple',
  kitSource: 'mix',
  leadAcid: 'lastResort',
  rimBrakes: 'upgraded',
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
