/** The core's one public entry: by name, grouped in the order of the work; only what is used outside. */

// Constants
export { BATTERY_CLEARANCE_WANTED, CLIMB_AT_LEAST, EFFORT_WATTS } from './constants.ts';

// Verdicts
export { type Verdict, verdictRank, verdictWords } from './verdict.ts';

// Quantities, units and words
export { seeded } from './quantity/random.ts';
export { type Amount, type Phrase, amount, amountText, phrase, phraseText, showAmount } from './quantity/format.ts';
export { type Parsed, parseQuantity, parseTeeth } from './quantity/parse.ts';
export { type TyreSize, parseTyre, tyreName } from './quantity/tyre.ts';
export { type Dimension, type UnitSystem, displayUnits } from './quantity/units.ts';
export { decimals, readAs } from './quantity/reader.ts';
export { textsIn, wordsIn } from './quantity/words.ts';

// What readers answer with
export { notFinite } from './reading/finite.ts';
export { plainText, withoutControls } from './reading/controls.ts';
export { type ReadProblem, type ReadResult, parseJson, problemsOf } from './reading/problems.ts';

// Parts and the shelf
export { cutoffActsWords } from './parts/controls.ts';
export { type DriveFamily, type Kit, type KitContent, driveFamilies, driveFamilyWords } from './parts/kit.ts';
export { type BoxId, type PlugEnd, boxWords } from './parts/leads.ts';
export { type LegalClass, legalClass, legalClassSchema, legalClasses, withLaws } from './parts/law.ts';
export { fitDischarge, readDischarge } from './pack/fitDischarge.ts';
export { type Pack, type PackPlace, packPlaceWords } from './parts/pack.ts';
export {
  type Part,
  type PartKind,
  type Shelf,
  partKinds,
  partSchema,
  partSchemas,
  withParts,
  partById,
} from './parts/part.ts';
export { starterShelf } from './parts/shelf/starterShelf.ts';

// The donor and its survey
export { type DerivedSize } from './donor/derived.ts';
export {
  type ConditionEntry,
  type ConditionGrade,
  type ConditionItem,
  type Donor,
  type FreeFrame,
  MOST_OBSTRUCTIONS,
  MOST_PRICE,
  type MainTube,
  type Obstruction,
  type Survey,
  type SurveyItemId,
  type Worth,
  conditionGrades,
  likings,
  mainTubeWords,
  mainTubes,
  obstructionKindWords,
  obstructionKinds,
  riderFits,
} from './donor/donor.ts';
export { type Entry, LONGEST_TYPED, type Provenance, isProven, provenanceWords, provenances } from './donor/entry.ts';
export { chainLength, pointAlong } from './donor/frames/chains.ts';
export { type Tube } from './donor/frames/frame.ts';
export { type Point } from './donor/frames/point.ts';
export { type DimensionLine, type DonorGeometry } from './donor/geometry.ts';
export {
  type SurveyFigure,
  type SurveyGroup,
  type SurveyItem,
  surveyGroupWords,
  takenRange,
} from './donor/items/item.ts';
export { type VehicleKind, vehicleKindWords, vehicleKinds } from './donor/kinds.ts';
export { legsDo, type LegsWay } from './plan/legsDo.ts';
export { kitWatts, motorByPlate } from './drive/byPlate.ts';
export { cellsByLabel, labelOf } from './pack/byPlate.ts';
export { assumedEntry, assumedItems, assumeOpen, shownValue } from './donor/assumed.ts';
export { lookAlikes } from './donor/lookAlikes.ts';
export {
  type SurveyProgress,
  conditionItemsFor,
  conditionWords,
  itemsFor,
  surveyItem,
  usualMendPrice,
} from './donor/survey.ts';
export { nextOpenStation, surveyWalk } from './donor/walk.ts';

// What a person says: the build
export {
  type Brief,
  type Effort,
  MOST_CLIMBS,
  type Rider,
  type Route,
  type Stretch,
  efforts,
  mountings,
  purposeWords,
  purposes,
  routeSchema,
  neededRange,
  surfaceWords,
  surfaces,
  usualRider,
  usualTrailer,
  type HelpHabit,
  type Aboard,
  type Seat,
  type Trailer,
  hitches,
  hitchWords,
  postureOn,
  seats,
  seatWords,
  trailerBrakes,
} from './build/brief.ts';
export { seatRoom } from './build/seatRoom.ts';
export { type Arrival } from './build/arrivals.ts';
export {
  MOST_OTHERS,
  otherPlaces,
  otherPlaceWords,
  otherStands,
  otherStandsWords,
  usualClosing,
  type Other,
  type OtherPlace,
  type OtherStands,
} from './build/closing.ts';
export { oftenThere, whereItGoes } from './fit/rules/closingQuestion.ts';
export { crossingDoesWords, crossingSheets, type StandingCrossing } from './fit/crossings/matrix.ts';
export { type Build, newBuild, withoutLog } from './build/build.ts';
export { type Choice, sameConversion } from './build/choice.ts';
export { isDecided, keptBeside, type KeptChoice } from './build/kept.ts';
export { type Fix } from './build/fixes.ts';
export { type Clash, type MergeStep, mergeBuilds, withValueAt } from './build/merge.ts';
export {
  type Bill,
  type LineChoice,
  type LineSource,
  type LineState,
  type Offer,
  type Supplier,
  lineSourceWords,
  lineSources,
  lineStateWords,
  lineStates,
  MOST_OFFERS,
  MOST_SUPPLIERS,
  offerSchema,
  standingsSchema,
  supplierSchema,
  usualLine,
} from './build/bill.ts';
export { type Override } from './build/overrides.ts';
export { type Remedy } from './build/remedy.ts';
export { type SchoolId, type Schools } from './build/schools.ts';
export { type StageId, stageIds } from './build/stage.ts';
export { type Weights } from './build/weights.ts';
export {
  type CutoffWay,
  type LeadChoice,
  type LeverChoice,
  type Member,
  type PhaseOrder,
  type PhaseOutcome,
  type SettingId,
  type StowPlace,
  type WiringChoice,
  cutoffWayWords,
  cutoffWays,
  phaseOrders,
  stowWords,
  usualLead,
} from './build/wiring.ts';
export { cellsInRow, joinedHere, usualMembers } from './pack/joined.ts';

// The ride models
export { type RideCase, readRideCase, runRideCase } from './ride/case.ts';
export { explainPoint } from './ride/explainPoint.ts';
export { describedRoute, routeLength, steepestGrade, totalClimb } from './ride/route.ts';
export { type EnergyAccount, cutRoute, simulate } from './ride/simulate.ts';
export {
  type Band3,
  type DrawResult,
  type Spread,
  type SpreadJob,
  runDraws,
  spreadInputWords,
  summariseDraws,
} from './ride/spread.ts';
export { type RouteSegment } from './ride/system.ts';

// Going safely
export { tipDistance } from './safety/axleLoads.ts';

// Where things go
export { type LimitLine } from './layout/balance.ts';
export { bracketSheet, packTemplate, rackBracket, railStrip, seatBackBracket } from './layout/mounts.ts';
export { type LoadShape, turned } from './layout/packShape.ts';
export { type PhotoMarks, type PhotoResult, type Pixel, fromPhoto } from './layout/photo.ts';
export {
  AMPLE,
  type Fixing,
  type Placement,
  type Tightest,
  Trial,
  bodyOf,
  fixingWords,
  obstaclesFor,
  outlineOf,
  poseAt,
  reachOf,
} from './layout/place.ts';
export { type Mount, type Obstacle, type Room } from './layout/room.ts';
export { gapLine } from './layout/shapes.ts';
export { type Paper, type SheetDrawing, pagesOf, paperSizes, papers } from './layout/sheet.ts';
export { type PrintScale, printScales, sideSheet } from './layout/sideSheet.ts';
export { geometryInTravel } from './layout/suspension.ts';
export { type Change, PEDAL_CLEARANCE_WANTED, type WheelCaution, wheelChange } from './layout/wheelChange.ts';

// The vehicle as it will be
export { PlanContext } from './vehicle/context.ts';

// Wiring
export { type BarItem, type BarSide } from './wiring/bar.ts';
export { type PlacedBox } from './wiring/bareWays.ts';
export { type MeterCheck } from './wiring/checks.ts';
export { type CutoffSheet, cutoffOutcomeWords, cutoffSheet } from './wiring/cutoffs.ts';
export { type RoutedLead, alongLead, extensionsFor, leadVerdictWords } from './wiring/leads.ts';
export { type LeverSheet } from './wiring/levers.ts';
export { nextPhases } from './wiring/phases.ts';
export { type SettingRow } from './wiring/settings.ts';
export { type Wiring } from './wiring/wiring.ts';
export { type SettingEffect, settingEffects } from './plan/settingEffects.ts';

// Parts, money and time
export { type IntegerSolver, type Purchase, buy } from './work/buy.ts';
export { type BillLine, type BillSheet, leftOverOf } from './work/bill.ts';
export { readBuyCase } from './work/buyCase.ts';
export { daysAt } from './work/leadTime.ts';
export { dateAfter, dateOf, dayOf, daysBetween, isDate, minutesOf, momentText } from './quantity/dates.ts';
export { placesOf, readScheduleCase, runScheduleCase } from './work/scheduleCase.ts';
export { type BuyingSheet, buyingSheet } from './work/buying.ts';
export { inWorkshopOf } from './build/workshop.ts';
export { type Bench, type Weekly } from './build/bench.ts';
export { type DonorThing } from './work/donorThings.ts';
export { benchNow, type BuildTime, buildTime } from './work/buildSchedule.ts';
export { type BenchNeed } from './work/steps/needs.ts';
export { type BuildStep, type StepReading, type StepThing, type ThingState } from './work/steps/step.ts';
export { paceOf } from './work/steps/pace.ts';
export { knownOf, peopleOf } from './build/paces.ts';
export { type StepFigureId } from './work/steps/stepFigures.ts';
export { type StepSheet, readingVerdict, thingsNow } from './work/steps/sheets.ts';
export { doneAfter, type MarkedStep, type StepMarking, withStepMarked } from './work/steps/marking.ts';
export { changesFor, type Differing, differingAt, type DifferingFrom, leftOutChanges } from './work/steps/differing.ts';
export { rangeAt } from './work/steps/ranges.ts';
export { type ReadingTaken, withReading } from './work/steps/readingTaken.ts';
export { type Built, MOST_OTHERWISE, type Otherwise, otherwiseSchema } from './build/asBuilt.ts';
export { stillBuilt, takenBack, withValue } from './build/differ.ts';
export { type BesidePlan, besidePlan } from './plan/besidePlan.ts';
export { orderFrom, purchaseOrders, putLine, remindersOf } from './work/lineMoves.ts';
export { invoiceOf, quotationOf } from './work/quotation.ts';
export { integerSolver } from './work/highs.ts';
export { type RemedyFacts, remedyFacts } from './work/wanted.ts';

// Proving and the fault finder
export {
  type Coast,
  type Conditions,
  conditionsSchema,
  type FaultSearch,
  MOST_RESULTS,
  type NotTried,
  type RepairTaken,
  type Result,
  type WentPast,
} from './build/proving.ts';
export { type Ridden, type Tuned } from './build/tuned.ts';
export { faultList, faultWords, readFaultCase, runFaultCase } from './proof/faults/case.ts';
export { faultOf, faultTestOf, repairOf } from './proof/faults/data.ts';
export { type FaultTool, lentThings } from './proof/faults/fault.ts';
export { anyVehicle, faultFacts, type FaultFacts } from './proof/faults/faultFacts.ts';
export {
  answerWords,
  allowedNow,
  askable,
  causesNow,
  type FaultAnswer,
  rankedTests,
  reasonsOf,
  repairFor,
  ruledOut,
  type Search,
  type SearchFinding,
  searchNow,
  type WouldBe,
  wouldBe,
} from './proof/faults/finder.ts';
export { answerOf, faultLab, hideFault, type HiddenFault } from './proof/faults/lab.ts';
export { riskWords, type SymptomId, symptoms } from './proof/faults/symptoms.ts';
export { type Band } from './proof/band.ts';
export { fitCoasts } from './proof/coast.ts';
export { systemOn } from './proof/conditions.ts';
export { livePlan, rideCaseOf } from './proof/livePlan.ts';
export {
  isMeterFault,
  liveNow,
  type LivePlan,
  type MeterFault,
  meterFaults,
  type MeterSample,
  standInRide,
} from './proof/meter.ts';
export { type Likelier, likelierBy, searchOf, toldBy } from './proof/proofTells.ts';
export {
  type JudgedReading,
  mayTry,
  type ProofSheet,
  proofSheet,
  type ProofState,
  type ProofTest,
  ridesOn,
} from './proof/protocol.ts';
export { repairTaken } from './proof/repairTaken.ts';
export { type DrawnRides } from './proof/test.ts';
export { together, type Together } from './proof/together.ts';
export { tuningOf } from './proof/tune.ts';
export { readRide, rideRows } from './formats/rideTable.ts';

// The logbook
export {
  type EntryKind,
  energySources,
  energySourceWords,
  entriesOf,
  entryKinds,
  entryKindWords,
  type Handover,
  type LogEntry,
  logEntrySchema,
  type LoggedRide,
  type Mapping,
  type MeasuredThing,
  measuredThings,
  renewedThings,
  MOST_ENTRIES,
  punctureCauses,
  punctureSides,
  punctureWheels,
  type Review,
} from './build/log.ts';
export { type Ageing, ageingOf } from './log/capacity.ts';
export { type Lesson, lessonsOf, likelierByOthers, partsOf } from './log/lessons.ts';
export { readLine } from './log/line.ts';
export { odometerOf } from './log/odometer.ts';
export { againWords, REVIEW_AFTER_DAYS, reviewQuestions, reviewRatings } from './log/review.ts';
export { narrowed, type Told, type TellingRide, tellingRide, toldOf } from './log/tells.ts';
export { type Day, SURE_HOME, type TodayForecast, todayOn } from './log/today.ts';
export { unknownWords } from './log/tune.ts';
export { readTuneCase, runTuneCase } from './log/tuneCase.ts';
export { tuneLab } from './log/tuneLab.ts';
export { type LogTuning, type RideSeen, tuneLogInSteps } from './log/tuneLog.ts';
export { logUpTo } from './log/upTo.ts';
export { type Nearness, nearnessWords, type Upkeep, upkeepOf, upkeepReminders } from './log/upkeep.ts';
export { upkeepTaskOf, upkeepTasks } from './log/upkeepTasks.ts';
export { type Wear, wearOf } from './log/wear.ts';
export { type Doc, type DocBlock } from './formats/doc.ts';
export { docHtml } from './formats/docHtml.ts';
export {
  isLogColumn,
  type LogColumn,
  logColumns,
  logRows,
  matchColumns,
  rememberedColumns,
  readLogTable,
  rideFromSamples,
} from './formats/logTable.ts';
export { readTrackRide } from './formats/trackRide.ts';
export { handoverDoc } from './plan/papers/handover.ts';
export { type PaperPhoto, reportDoc } from './plan/papers/report.ts';

// The judgement
export { kitRules } from './fit/allRules.ts';
export { type Evidence, type Finding } from './fit/finding.ts';
export { canBeTaken } from './fit/finding.ts';
export { ruleCatalog, rulesUsing } from './fit/judge.ts';
export { type WantedItem, wantedItems } from './fit/wanted.ts';
export { type RuleGroup } from './fit/rule.ts';
export { schools } from './fit/schools.ts';
export { type VerdictEdge, verdictEdges } from './fit/verdictEdges.ts';
export { type WorthAnswer, type WorthIt } from './fit/worth.ts';

// The plan
export { type Steps } from './steps.ts';
export { type Candidates, type KitCandidate, type PackCandidate, judgeCandidates } from './plan/candidates.ts';
export { planContext } from './plan/context.ts';
export { type Figure, type FigureId } from './plan/figure.ts';
export { type Help, helpWords } from './vehicle/assist.ts';
export { type GearSheet, gearSheet } from './plan/gearSheet.ts';
export {
  type BuildPlan,
  type ChosenPlan,
  type StageStanding,
  planBuild,
  planChosen,
  planInSteps,
  wholePlan,
} from './plan/planBuild.ts';
export { type RideSheet, rideJob, rideSheet } from './plan/rideSheet.ts';
export { sizeBackwards } from './plan/sizing.ts';
export { type PlanLayout, type SaidPlacement } from './plan/stages/pack.ts';
export { type Compared, comparedGroups, comparedGroupWords, compared } from './plan/compared.ts';
export { type BuildSummary, kindDrawing, type MiniDrawing, summaryOf } from './plan/summary.ts';
export { type WhatChange, whatWouldChange } from './plan/whatChanges.ts';

// Proposals
export { type AimId, aimIds, aims, planAims, usualAims } from './plan/aims.ts';
export { type BoardPick, boardOf, candidateDrawing } from './search/board.ts';
export { contendersOf, faresOf, type Fares, weighedUp } from './search/contenders.ts';
export { type Drawn, drawsInSteps, USUAL_DRAWS } from './search/draws.ts';
export { type LikelyKits, likelyKits } from './search/likely.ts';
export { type MeasureFirst, measureFirst } from './search/measureFirst.ts';
export { type AimWeights, picksOf, pickWords, weightsFor } from './search/picks.ts';
export {
  type Candidate,
  type SearchOptions,
  type SearchResult,
  searchedTogether,
  ShelfSearch,
  usualSearch,
} from './search/search.ts';
export { chosenCandidate, stillBest } from './search/stillBest.ts';
export { type ScenarioId, scenarioIds, scenarioWords, type Stays, staysBestInSteps } from './search/staysBest.ts';
export { familyFates } from './search/whyNot.ts';
export { type AnswerId, LONGEST_WORDS } from './build/start.ts';
export { type AnswerChip, answerChips, roadSaid, withPointed, withRoad, withWords } from './start/answers.ts';
export { quickAnswers } from './start/quick.ts';
export { readWords, type Understood } from './start/freeWords.ts';
export { finish } from './steps.ts';

// Files in and out
export {
  buildFileSchema,
  readBuild,
  readBuildFile,
  readBuildFileWithPhotos,
  writeBuildFile,
} from './formats/buildFile.ts';
export { catalogueFiles, catalogueProblems } from './formats/catalogue.ts';
export { dxfDrawing } from './formats/dxf.ts';
export { offerHeads, readOffers } from './formats/offersTable.ts';
export { readGpx } from './formats/gpx.ts';
export { writeGpx } from './formats/gpxWrite.ts';
export { type BuildHead, headOf } from './formats/head.ts';
export { type Refused, admitted, readable } from './formats/gate.ts';
export { mendBuild } from './formats/mend.ts';
export { MOST_PHOTOS } from './formats/photos.ts';
export { placeWords, refusedWords, valueWords } from './formats/placeWords.ts';
export { edgesCrossing } from './layout/crossing.ts';
export { readSvgOutline } from './formats/svgOutline.ts';
export { svgDrawing, svgPage } from './formats/svgSheet.ts';
