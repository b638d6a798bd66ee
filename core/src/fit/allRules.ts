import type { Rule } from './rule.ts';
import { contradictions } from './crossings/contradictions.ts';
import { kitCrossings, packCrossings } from './crossings/judgements.ts';
import { armAnchor } from './rules/armAnchor.ts';
import { axleSeat } from './rules/axleSeat.ts';
import { axleSlot } from './rules/axleSlot.ts';
import { schoolRules } from './rules/schoolSides.ts';
import { packTrust } from './rules/packTrust.ts';
import { rackOnSwingArm } from './rules/rackOnSwingArm.ts';
import { frontDerailleur } from './rules/frontDerailleur.ts';
import { hubGearFit } from './rules/hubGearFit.ts';
import { axleBores } from './rules/axleBores.ts';
import { rackShared, seatsAboard } from './rules/seatsAboard.ts';
import { trailerBehind } from './rules/trailerBehind.ts';
import { axleStack } from './rules/axleStack.ts';
import { axleStress } from './rules/axleStress.ts';
import { barClamp } from './rules/barClamp.ts';
import { barLeft, barRight } from './rules/barRoom.ts';
import { bottomBracket } from './rules/bottomBracket.ts';
import { bracketSpacers } from './rules/bracketSpacers.ts';
import { bracketThreadHand } from './rules/bracketThreadHand.ts';
import { brakeKind } from './rules/brakeKind.ts';
import { brakesEnough } from './rules/brakesEnough.ts';
import { cableRun } from './rules/cableRun.ts';
import { caliperRoom } from './rules/caliperRoom.ts';
import { chainTension } from './rules/chainTension.ts';
import { chainWear } from './rules/chainWear.ts';
import { chemistrySchool } from './rules/chemistrySchool.ts';
import { clusterMount } from './rules/clusterMount.ts';
import { conditionRules } from './rules/condition.ts';
import { crankRemoval } from './rules/crankRemoval.ts';
import { crossoverTandem } from './rules/crossoverTandem.ts';
import { closingQuestion } from './rules/closingQuestion.ts';
import { cutoffLevers } from './rules/cutoffLevers.ts';
import { derailleurRange } from './rules/derailleurRange.ts';
import { donorSchool } from './rules/donorSchool.ts';
import { downTubeShape } from './rules/downTubeShape.ts';
import { drivenWheels } from './rules/drivenWheels.ts';
import { dropoutSpacing } from './rules/dropoutSpacing.ts';
import { forkTips } from './rules/forkTips.ts';
import { forkTipStrength } from './rules/forkTipStrength.ts';
import { frameMaterial } from './rules/frameMaterial.ts';
import { frontGrip } from './rules/frontGrip.ts';
import { handsPlace } from './rules/handsPlace.ts';
import { hangerKind } from './rules/hangerKind.ts';
import { hingeSlack } from './rules/hingeSlack.ts';
import { hubGearRatio } from './rules/hubGearRatio.ts';
import { hubGearSchool } from './rules/hubGearSchool.ts';
import { hubGearTorque } from './rules/hubGearTorque.ts';
import { kitSource } from './rules/kitSource.ts';
import { kitBox } from './rules/kitBox.ts';
import { lacing } from './rules/lacing.ts';
import { leadEnds } from './rules/leadEnds.ts';
import { leadLengths } from './rules/leadLengths.ts';
import { leadWay } from './rules/leadWay.ts';
import { batteryPlug } from './rules/batteryPlug.ts';
import { controlPlugs } from './rules/controlPlugs.ts';
import { powerLead } from './rules/powerLead.ts';
import { plugSpark } from './rules/plugSpark.ts';
import { cutoffWorks } from './rules/cutoffWorks.ts';
import { cadenceSensor } from './rules/cadenceSensor.ts';
import { lampVolts } from './rules/lampVolts.ts';
import { meterReadings } from './rules/meterReadings.ts';
import { packsJoined } from './rules/packsJoined.ts';
import { legs } from './rules/legs.ts';
import { legalDuties } from './rules/legalDuties.ts';
import { legalPower } from './rules/legalPower.ts';
import { legalSpeed } from './rules/legalSpeed.ts';
import { legalThrottle } from './rules/legalThrottle.ts';
import { loadLimit } from './rules/loadLimit.ts';
import { midArm } from './rules/midArm.ts';
import { motorGround } from './rules/motorGround.ts';
import { motorRoom } from './rules/motorRoom.ts';
import { packAmps } from './rules/packAmps.ts';
import { packBosses } from './rules/packBosses.ts';
import { packHandling } from './rules/packHandling.ts';
import { controllerRoom } from './rules/controllerRoom.ts';
import { packKnees } from './rules/packKnees.ts';
import { packMaterial } from './rules/packMaterial.ts';
import { packPlace } from './rules/packPlace.ts';
import { packVolts } from './rules/packVolts.ts';
import { parkingLock } from './rules/parkingLock.ts';
import { purposeFit } from './rules/purposeFit.ts';
import { rearTravel } from './rules/rearTravel.ts';
import { riderFit } from './rules/riderFit.ts';
import { rimTape } from './rules/rimTape.ts';
import { rimWidth } from './rules/rimWidth.ts';
import { ringClearance } from './rules/ringClearance.ts';
import { rotorMount } from './rules/rotorMount.ts';
import { seatLoad } from './rules/seatLoad.ts';
import { shifterMatch } from './rules/shifterMatch.ts';
import { shiftingSkill } from './rules/shiftingSkill.ts';
import { sideClamps } from './rules/sideClamps.ts';
import { sideKit } from './rules/sideKit.ts';
import { sideLine } from './rules/sideLine.ts';
import { sizeChain } from './rules/sizeChain.ts';
import { sizesAgree } from './rules/sizesAgree.ts';
import { slotDepth } from './rules/slotDepth.ts';
import { standLoad } from './rules/standLoad.ts';
import { throttleBar } from './rules/throttleBar.ts';
import { throttleSchool } from './rules/throttleSchool.ts';
import { tyreRoom } from './rules/tyreRoom.ts';
import { underBracket } from './rules/underBracket.ts';
import { valveHole } from './rules/valveHole.ts';
import { cadence } from './rules/cadence.ts';
import { clusterChoice } from './rules/clusterChoice.ts';
import { heatNeed } from './rules/heatNeed.ts';
import { rangeNeed } from './rules/rangeNeed.ts';
import { ringMount } from './rules/ringMount.ts';
import { road } from './rules/road.ts';
import { startOfHub, startOfMid } from './rules/startNeed.ts';
import { wheelLift } from './rules/wheelLift.ts';
import { wheelSpacing } from './rules/wheelSpacing.ts';
import { wheelLoad } from './rules/wheelLoad.ts';
import { wheelSize } from './rules/wheelSize.ts';

/** Every rule on a kit, in the order of the vehicle: frame, bracket, axle, wheel, drivetrain, brakes, controls, load, law, use. */
export const kitRules: readonly Rule[] = [
  frameMaterial,
  downTubeShape,
  motorRoom,
  underBracket,
  cableRun,
  rearTravel,
  hingeSlack,
  bottomBracket,
  bracketSpacers,
  bracketThreadHand,
  crankRemoval,
  motorGround,
  ringClearance,
  midArm,
  axleSlot,
  dropoutSpacing,
  slotDepth,
  axleSeat,
  axleStress,
  axleStack,
  axleBores,
  armAnchor,
  forkTips,
  forkTipStrength,
  hangerKind,
  wheelSize,
  sizeChain,
  tyreRoom,
  rimWidth,
  valveHole,
  rimTape,
  lacing,
  clusterMount,
  shifterMatch,
  derailleurRange,
  hubGearRatio,
  hubGearTorque,
  hubGearSchool,
  frontDerailleur,
  chainTension,
  crossoverTandem,
  drivenWheels,
  chainWear,
  brakeKind,
  caliperRoom,
  rotorMount,
  cutoffLevers,
  parkingLock,
  brakesEnough,
  barLeft,
  barRight,
  barClamp,
  throttleBar,
  leadLengths,
  leadEnds,
  leadWay,
  batteryPlug,
  controlPlugs,
  powerLead,
  plugSpark,
  cutoffWorks,
  cadenceSensor,
  lampVolts,
  packsJoined,
  meterReadings,
  kitBox,
  handsPlace,
  loadLimit,
  wheelLoad,
  wheelSpacing,
  standLoad,
  seatLoad,
  legalPower,
  legalSpeed,
  legalThrottle,
  legalDuties,
  shiftingSkill,
  frontGrip,
  wheelLift,
  throttleSchool,
  legs,
  purposeFit,
  sideClamps,
  sideLine,
  sideKit,
  ...schoolRules,
  ...kitCrossings,
  closingQuestion,
];
export const packRules: readonly Rule[] = [
  packPlace,
  packBosses,
  packKnees,
  controllerRoom,
  packMaterial,
  packVolts,
  packAmps,
  chemistrySchool,
  kitSource,
  packHandling,
  packTrust,
  rackOnSwingArm,
  ...packCrossings,
];
export const donorRules: readonly Rule[] = [...conditionRules, donorSchool, riderFit, sizesAgree, ...contradictions];

/** What the brief asks of the plan, and whether what was chosen of the gears goes together. */
export const planRules: readonly Rule[] = [
  road,
  seatsAboard,
  rackShared,
  trailerBehind,
  rangeNeed,
  startOfHub,
  startOfMid,
  heatNeed,
  cadence,
  ringMount,
  clusterChoice,
  hubGearFit,
];
