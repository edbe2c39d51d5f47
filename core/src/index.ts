/** What the rest of the application may ask of the core: the whole list, so that what nobody asks for is found. */
export { count, wordFor } from './units/count';
export { parseNumber } from './units/number';
export { formatLength, parseLength } from './units/length';
export { type Problem, refuse, type Result, succeed } from './units/result';
export {
  areaFt2,
  type Bounds,
  boundsOf,
  distance,
  innerPoint,
  isInside,
  type Point,
  polygonsOverlap,
} from './geometry/geometry';
export { cutIntervals, type Interval } from './geometry/intervals';
export { memo } from './cache/memo';
export { Memory } from './cache/memory';
export type { Collection } from './house/collections';
export {
  applyEdit,
  edit,
  type Edit,
  type Edited,
  joinEdits,
  leaveHousesUnfrozen,
  remakeEdit,
  undoOf,
  type Patch,
} from './house/edit';
export { editsOverlap } from './house/overlap';
export { nameRoom } from './house/room-names';
export {
  type Box,
  BOX_PROGRESS,
  BOX_SETTINGS,
  BOX_STATES,
  type BoxPlace,
  type BoxType,
  TRIM_WAITS,
} from './house/schema-boxes';
export {
  type Device,
  type DeviceKind,
  type Load,
  DISCONNECTS,
  LOAD_KINDS,
  type LoadKind,
  newDevice,
  SWITCH_STYLES,
  DROP_STEPS,
  type DropStep,
  SWITCH_WORDS,
  type SwitchStyle,
} from './house/schema-equipment';
export {
  type Feature,
  FEATURE_KINDS,
  type FeatureKind,
  featureSchema,
  type Opening,
  type OpeningKind,
  openingSchema,
} from './house/schema-fixed';
export {
  AWG_SIZES,
  type Circuit,
  CIRCUIT_PURPOSES,
  type Corner,
  type Inspection,
  type Job,
  JOB_KINDS,
  type JobKind,
  jobSchema,
  type LivingUse,
  type Phase,
  PHASES,
  type Photo,
  photoSchema,
  type Comment,
  type Task,
  TRADES,
  type Trade,
  USE_KINDS,
  type UseKind,
  type Decision,
  CEILINGS,
  type Ceiling,
  COVERINGS,
  SIDINGS,
  type Siding,
  type Edition,
  EDITIONS,
  type Grade,
  editionSchema,
  type House,
  HOUSE_VERSION,
  type KeptDay,
  houseJsonSchema,
  type Level,
  type MakeUp,
  type Panel,
  type Planning,
  type Room,
  ROOM_KINDS,
  type RoomKind,
  type SwitchGroup,
  type Switching,
  type Building,
  type Conductor,
  CONDUCTOR_SIZES,
  type DwellingUnit,
  type Electrode,
  ELECTRODES,
  type BuriedWiring,
  type Feeder,
  RACEWAY_NAMES,
  RACEWAYS,
  READINGS,
  type Sleeve,
  SLEEVE_CONTENTS,
  SLEEVE_KINDS,
  SLEEVE_NAMES,
  SLEEVE_PLACES,
  type SleeveContent,
  sleeveSchema,
  type Source,
  type Standards,
  standardsSchema,
  type Supply,
  type Route,
  type Routing,
  type TestResult,
  TRADE_SIZES,
} from './house/schema';
export { validateHouse } from './house/validate';
export { barredByFraming } from './plan/blocked-by-framing';
export { gradeOf, gradeOfRoom } from './plan/grade';
export { openingBreak, type SeenOpening } from './plan/opening-break';
export { boxPoint, featureOutline, placeOf } from './plan/points';
export { roomBehind, type RoomView, viewRoom, wallOf } from './plan/room-view';
export { roomsOver } from './plan/stacked';
export { layStuds, narrowBays, studFaces } from './plan/studs';
export {
  findWall,
  fromLoop,
  type LoopWall,
  nearestWall,
  pointOnWall,
  roomSpan,
  stretchBefore,
  toLoop,
  wallLoop,
  type WallLoop,
  wrapIn,
} from './plan/wall-loop';
export { inTurn, mergeCircuits, shareNeutral } from './edits/circuit-verbs';
export { copyRoom } from './edits/copy-room';
export { addLevel, copyLevel, heldByLevel, removeLevel } from './edits/levels';
export { createHouse } from './edits/create-house';
export { addDevice, joinDuplex, removeDevice, setGangs, splitDuplex } from './edits/device-verbs';
export { addFeature } from './edits/place-feature';
export { addRoom } from './edits/place-room';
export { commonOf, devicesIn, ownHeightIn, setHeights } from './edits/many-boxes';
export { removeEntities } from './edits/remove';
export { keepOwnStandards, standardsApart, takeStandards } from './edits/shop-standards';
export { joinSwitch, leaveGroup, orderGangs } from './edits/switch-verbs';
export {
  addEntity,
  assignToCircuit,
  changeBoxes,
  changeDevice,
  changeDevices,
  changeEntity,
  choosePrefix,
  moveBox,
  moveCorners,
  moveRooms,
  placeBoxes,
  placeBreakers,
  shareSpace,
  rectangleCorners,
  turnClockwise,
} from './edits/verbs';
export { bodiesBackToBack, isTakenFromBehind, metBackToBack } from './place/back-to-back';
export { backingFor, BOX_TYPES, boxTypes, findBoxType, settingOf, suitableType } from './place/box-catalogue';
export {
  ceilingGrid,
  cofferMiddles,
  countForSpacing,
  type GridPlaces,
  joistConflict,
  lightMap,
  type LightMap,
  type LightSource,
  lumenMethodFc,
  spreadAlong,
  USUAL_LUMEN_ASSUMPTIONS,
  usualFc,
  usualSpacingIn,
} from './place/luminaires';
export { isExhaustFan } from './place/fans';
export { OUTDOOR_KINDS, suitedTo } from './place/outdoors';
export {
  boxesOfProposal,
  type PlacementLimits,
  type Proposal,
  proposeForHouse,
  proposeForRoom,
  proposeForWall,
  reachInRoom,
  type ProposedBox,
} from './place/propose';
export { isMixed, reachAlongCounters, receptaclesOf, SPACED_ROOMS, usualHeightIn } from './place/receptacles';
export { STANDARD_RATINGS_A } from './electrical/conductors';
export { burnsFuel } from './loads/hookups';
export { ampsOf, LOAD_LIBRARY } from './loads/library';
export { parsePower, stripVa } from './loads/parse-power';
export type { CableRun } from './circuits/cable-run';
export { measureCircuitLoad } from './circuits/circuit-load';
export { hasTab } from './house/yokes';
export { cableNameOf, circuitVolts, indexOutlets, type Outlet, outletsOn } from './circuits/outlets';
export { showSum, USUAL_ATTIC_F } from './circuits/sizing';
export { gangOrder } from './control/gangs';
export { type NightFlaw, type NightWalk, type NightWalks, walkAtNight } from './control/night-walk';
export { switchesToBuy } from './feed/chain';
export { groupLetters, groupProblems } from './feed/unit';
export { type BoxFill, boxToBuy, fillLines, fillNote, fillOf, nameOfBox } from './makeup/box-fill';
export { isInTheWalls } from './makeup/cables';
export { isUnseenUnit, unseenIn } from './makeup/unseen';
export { allLabels, cableLabel, type CableLabel, deviceTitle, switchSymbol } from './makeup/labels';
export { type BoxMakeUp, type Join, joinsOf, makeUpOf, wireHouse } from './makeup/make-up';
export { runOf } from './makeup/wired-run';
export { compareFeeds, feedFrom, type FeedOption, freeFeed, keepFeed } from './feed-search/compare-feeds';
export { type FeedPlan, keepFeeds, leastFeet, leastFeetOfHouse } from './feed-search/least-feet';
export { Conduction } from './proof/conduction';
export {
  findFaults,
  type Observation,
  positionsLooked,
  positionsOf,
  quickestTest,
  type Sight,
  sightsOf,
} from './proof/diagnose';
export type { Fault } from './proof/faults';
export { boxesOnTheWay, type Netlist, netlistOf } from './proof/netlist';
export { type Proof, proveUnit, prove } from './proof/prove';
export { solve } from './proof/solve';
export {
  type Board,
  boardNetlist,
  type BoardPart,
  type BoardPin,
  boardSchema,
  type BoardVerdict,
  boardWiresSchema,
  CABLE_KINDS,
  checkBoard,
  isFeed,
  letterOf,
  lettersOf,
  PART_KINDS,
  pinsOf,
  whyNot,
} from './bench/board';
export { addBox, addCable, addPart, NEW_BOARD, setLetter, takeAway, takeBoxAway } from './bench/build-board';
export { EXERCISES } from './bench/exercises';
export { boardOfGroup } from './bench/house-board';
export { countMistake, plantOnBoard, weighMissed, type BoardMistake } from './bench/mistakes';
export { arrangePanel } from './panel/arrange';
export { BREAKER_NAMES, breakerMark } from './panel/breaker-names';
export { spaceMark, spacesOf, spaceWord } from './circuits/panel-spaces';
export { type PanelSchedule, type ScheduleRow } from './panel/schedule';
export { type Connected, type DwellingLoads, oneMore } from './service/connected-loads';
export {
  addsClimate,
  type CalculationLine,
  existingLoad,
  type LoadCalculation,
  measuredLoad,
  neutralLoad,
  optionalLoad,
  standardLoad,
} from './service/load-calculation';
export { isMultifamily, multifamilyLoad, twoDwellingsLoad } from './service/multifamily-load';
export {
  electrodeConductor,
  fitsRating,
  nextServiceRating,
  SERVICE_RATINGS_A,
  serviceConductors,
} from './service/service-conductors';
export { buildingOfPanel, feedersFrom, feederTo, servicePanel, servicePanels } from './circuits/panel-tree';
export { isSwitchLimit, limitName, limitValue, readLimit } from './nec/limit-words';
export { feedPanel } from './nec/feed-panel';
export { feederLoad } from './nec/requirements/feeder-load';
export { feederMetal } from './service/feeder-metal';
export { standbyCord } from './service/standby-cord';
export { feederAmpacity, feederDrop, laidIn, leastFeeder } from './service/feeder-size';
export { leastService, loadsOfHouse, withMore } from './nec/requirements/service-load';
export { coveringOf, readLayers } from './typed/read-layers';
export { readTypedBox, type TypedBox } from './typed/typed-box';
export { meaningsOf } from './typed/meanings';
export { addDirectory, readDirectory } from './typed/typed-directory';
export { addTypedRoom } from './typed/typed-room';
export { addTypedThing, readThing } from './typed/typed-thing';
export { BEHIND_IN, FEATURE_BOTTOM_IN, FEATURE_SIZE_IN, OPENING_WIDTH_IN, STANDS_FREE } from './edits/usual-sizes';
export { applyRemedy, circuitForDevices, placementLimits } from './nec/apply-remedy';
export { slabConduitsRemedy } from './nec/remedies';
export { askTap, outletsAsked, takeTap, type TapAnswer, tapOf, type TapQuestion } from './nec/ask-tap';
export { acceptFinding } from './nec/accept-finding';
export { type AcceptedFinding, checkHouse, type Finding, type HouseCheck } from './nec/check-house';
export { compareEditions } from './nec/compare-editions';
export { effectOfKind } from './nec/name-effect';
export { type Outage, outagesIn, outagesOn } from './nec/outages';
export { scheduleOf } from './nec/schedule-of';
export { decideAfci } from './nec/protection/afci';
export { guardOf, protectionOf, whyNotReadilyAccessible } from './nec/protection/circuit-protection';
export type { ProtectionDecision } from './nec/protection/decision';
export { decideGfci } from './nec/protection/gfci';
export { nuisancesOn, type ProtectionWay, protectionWays } from './nec/protection/ways';
export { rules } from './nec/rules/index';
export {
  alignBoxes,
  copyLayout,
  distributeBoxes,
  duplicateAlong,
  nudgeBoxes,
  nudgeToStud,
} from './proposals/layout/arrange';
export { cureNightFlaw } from './proposals/layout/cure';
export { acceptPlan, planBoxes } from './proposals/layout/lay-out-boxes';
export type { BoxingPlan } from './proposals/layout/plan';
export { applyPreset, readPreset, type Preset, PRESETS } from './proposals/layout/presets';
export type { StandardChange } from './proposals/layout/standard-change';
export {
  applyStandards,
  compareWithStandards,
  SWITCHING_STANDARDS,
  switchingOf,
} from './proposals/layout/switch-standards';
export { coveAlong, doorsOf, sconcesAt, underCabinets, type WallLight } from './proposals/layout/wall-lights';
export { spotOfPanel } from './circuits/cable-run';
export { keptRoutes, keyOf, keyOfRoute } from './circuits/kept-routes';
export { boreSheet } from './route/bore-sheet';
export { findRoutes, type RoutePlan } from './route/find-routes';
export { type Hole, holesOf } from './route/holes';
export { fits, placeOfEnd, roomFor, sleeveFill } from './service/sleeve-fill';
export { slabConduits } from './route/slab-conduits';
export { sleeveEstimateFt, sleeveLines } from './service/sleeve-lines';
export { LOW_VOLTAGE_SYSTEMS, lowVoltagePlan, type LowVoltagePlan, type LowVoltageRun } from './route/low-voltage';
export { improveFeeds } from './route/improve-feeds';
export { dropRoutes, isFixed, keepRoutes, markDrop, markRoutes } from './route/keep-routes';
export { keptCables } from './route/kept-laid';
export { plateHolesOf } from './route/plates';
export { type LaidCable, laidCables } from './route/laid';
export { leadRoute } from './route/lead-route';
export { holesSeenFrom, legsSeenFrom, pointsOfLeg } from './route/on-room';
export { cutFeet, pullSheet, routingOf, viaOf } from './route/pull-sheet';
export { backingsOf, smallParts } from './route/small-parts';
export { planSpools, type Spool } from './route/spool-plan';
export { type RouteTotals, totalsOfRoutes } from './route/totals';
export { type RoutePlace, ROUTE_WAYS, type RouteWay } from './route/ways';
export { isRoomHeat } from './nec/requirements/thermostats';
export { heatersToGovern, placeThermostat } from './proposals/heat/place-thermostat';
export { estimateHeat, INSULATION, type Insulation, proposeHeaters, putInHeaters } from './proposals/heat/room-heat';
export { type LineUp, lineUpBoxes, takeLineUp } from './proposals/routes/line-up';
export type { NewId } from './house/new-box';
export { openOnly } from './edits/existing-house';
export { connectAppliances, setFuel, setFunctions, unconnectedAppliances } from './edits/connect-appliances';
export { planningOf, CIRCUIT_STANDARDS } from './proposals/circuits/circuit-standards';
export { compareCounterSplits, type CounterSplit } from './proposals/circuits/counter-splits';
export { findLockConflict, type LockConflict } from './proposals/circuits/lock-conflict';
export { acceptCircuitPlan, type CircuitPlan, planCircuits } from './proposals/circuits/plan-circuits';
export { comparePanelPlaces, hangPanelAt, type PanelPlace } from './proposals/circuits/panel-places';
export { splitCircuit } from './proposals/circuits/split-circuit';
export type { CurveName } from './load-profile/breaker-curve';
export { futuresOf, originsOf } from './brief/futures';
export { guestHouse } from './brief/guest-house';
export { addUse, linesOfUse, placeUse, USES } from './brief/living';
export { answerQuestion, mustKnow, type MustKnow, provisionalBoxes } from './brief/must-know';
export { type ProposedTask, proposedTasks, settleTask, writeTasks } from './brief/other-trades';
export { addWant, signedFor, wantsOf } from './brief/add-want';
export { evidenceOf, evidenceOfHouse, type RoomEvidence } from './close-out/evidence';
export { type InspectionItem, inspectionItems, itemAsks, readinessOf } from './close-out/inspection-items';
export { inspectionPacket, type PacketLine } from './close-out/inspection-packet';
export { type Correction, recordInspection, visitsOf } from './close-out/inspections';
export {
  plantMistake,
  type PlantedMistake,
  readingsOf,
  type Suspected,
  suspectsOf,
  testedUnits,
  unitOf,
} from './close-out/simulated-tester';
export { saidBy, stateOf, testScript, type StepState, type TestStep } from './close-out/test-script';
export { jobSummary, type JobSummary } from './phases/job-summary';
export {
  addComment,
  type CommentPlace,
  namedIn,
  openThreads,
  placeOfComment,
  settleComment,
  type Thread,
  threadsOf,
} from './phases/comments';
export { boardOf, type BoardRow, type PhaseCell, phaseOf } from './phases/board';
export { lampColors, plateOf, trimSheets } from './close-out/trim-sheets';
export { fitDay, type FittedDay } from './load-profile/fit-day';
export { keepDay, readDay } from './load-profile/kept-days';
export { supplyLimits } from './load-profile/supply-limits';
export { type CircuitDay, clock, type DayResult, simulateDay, type SupplyDay } from './load-profile/simulate';
export { type DayItem, itemOf, typicalDay } from './load-profile/typical';
export { changesSince } from './walk/changes';
export { describeBox, type FloorMark, type RoomSheet, walkSheets, type WallSheet } from './walk/walk-sheets';
export { readHouse, readHouseFile, writeHouseFile } from './formats/house-file';
export { isNestedDeeper } from './formats/json-depth';
export { writeScheduleCsv } from './formats/schedule-csv';
export { toSpice } from './formats/spice';
