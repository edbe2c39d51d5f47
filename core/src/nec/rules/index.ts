import { accessoryReceptacle } from './accessory-receptacle';
import { afciProtection } from './afci-protection';
import { alarmClearance } from './alarm-clearance';
import { alarmInterconnection } from './alarm-interconnection';
import { applianceDisconnect } from './appliance-disconnect';
import { applianceOvercurrent } from './appliance-overcurrent';
import { applianceReceptacle } from './appliance-receptacle';
import { basementReceptacle } from './basement-receptacle';
import { bathroomBasinReceptacle } from './bathroom-basin-receptacle';
import { bathroomCircuit } from './bathroom-circuit';
import { belowCounterReceptacle } from './below-counter-receptacle';
import { boxClearOfFraming } from './box-clear-of-framing';
import { boxCovering } from './box-covering';
import { boxFill } from './box-fill';
import { boxInUse } from './box-in-use';
import { boxInWall } from './box-in-wall';
import { boxOnStud } from './box-on-stud';
import { boxSupport } from './box-support';
import { boxesCollide } from './boxes-collide';
import { ceilingBodies } from './ceiling-bodies';
import { circuitInPanel } from './circuit-in-panel';
import { circuitOverload } from './circuit-overload';
import { circuitVoltage } from './circuit-voltage';
import { closetLuminaire } from './closet-luminaire';
import { coAlarms } from './co-alarms';
import { conductorSize } from './conductor-size';
import { conductorsTogether } from './conductors-together';
import { continuousLoads } from './continuous-loads';
import { cordLength } from './cord-length';
import { cordLoad } from './cord-load';
import { counterReceptacleSpacing } from './counter-receptacle-spacing';
import { dimmerUse } from './dimmer-use';
import { dishwasherReceptacle } from './dishwasher-receptacle';
import { driverPlace } from './driver-place';
import { escapeOpening } from './escape-opening';
import { extendedCircuit } from './extended-circuit';
import { fastenedInPlaceShare } from './fastened-in-place-share';
import { feedOrder } from './feed-order';
import { foyerReceptacle } from './foyer-receptacle';
import { garageCircuit } from './garage-circuit';
import { garageReceptacle } from './garage-receptacle';
import { generalCircuits } from './general-circuits';
import { gfciProtection } from './gfci-protection';
import { groupAcrossFloors } from './group-across-floors';
import { hallwayReceptacle } from './hallway-receptacle';
import { heaterBelowReceptacle } from './heater-below-receptacle';
import { homeRun } from './home-run';
import { hotTubReceptacles } from './hot-tub-receptacles';
import { idleSwitch } from './idle-switch';
import { individualCircuit } from './individual-circuit';
import { insulationContact } from './insulation-contact';
import { islandReceptacle } from './island-receptacle';
import { laundryCircuit } from './laundry-circuit';
import { laundryReceptacle } from './laundry-receptacle';
import { legBalance } from './leg-balance';
import { lightingExteriorDoor } from './lighting-exterior-door';
import { lightingOutlet } from './lighting-outlet';
import { lightingStorageSpaces } from './lighting-storage-spaces';
import { lowVoltageApart } from './low-voltage-apart';
import { multiwireCircuit } from './multiwire-circuit';
import { neutralAtSwitch } from './neutral-at-switch';
import { outdoorCovers } from './outdoor-covers';
import { outdoorManualWay } from './outdoor-manual-way';
import { outdoorReceptacles } from './outdoor-receptacles';
import { outletOnCircuit } from './outlet-on-circuit';
import { panelPlace } from './panel-place';
import { panelSpaces } from './panel-spaces';
import { panelWorkingSpace } from './panel-working-space';
import { permissibleLoads } from './permissible-loads';
import { porchReceptacle } from './porch-receptacle';
import { provisionalBoxes } from './provisional-boxes';
import { receptacleRating } from './receptacle-rating';
import { receptaclesPerCircuit } from './receptacles-per-circuit';
import { refrigeratorOnGfci } from './refrigerator-on-gfci';
import { roomUseNamed } from './room-use-named';
import { serviceReceptacle } from './service-receptacle';
import { serviceSize } from './service-size';
import { smallApplianceCircuits } from './small-appliance-circuits';
import { smallApplianceOnly } from './small-appliance-only';
import { smallApplianceReceptacles } from './small-appliance-receptacles';
import { smokeAlarms } from './smoke-alarms';
import { stairDimmer } from './stair-dimmer';
import { stairLightCircuit } from './stair-light-circuit';
import { stairSwitches } from './stair-switches';
import { switchGroups } from './switch-groups';
import { switchHeight } from './switch-height';
import { switchInTub } from './switch-in-tub';
import { switchNearEntrance } from './switch-near-entrance';
import { tamperResistant } from './tamper-resistant';
import { tubZoneLuminaires } from './tub-zone-luminaires';
import { tubZoneReceptacles } from './tub-zone-receptacles';
import { voltageDrop } from './voltage-drop';
import { wallReceptacleSpacing } from './wall-receptacle-spacing';
import { weatherResistant } from './weather-resistant';
import { wetLuminaires } from './wet-luminaires';
import { whiteAsTraveler } from './white-as-traveler';
import type { Rule } from '../rule';

/** Every rule, by name. A new rule is one file, its table of cases, and one line here. */
export const rules: readonly Rule[] = [
  accessoryReceptacle,
  afciProtection,
  alarmClearance,
  alarmInterconnection,
  applianceDisconnect,
  applianceOvercurrent,
  applianceReceptacle,
  basementReceptacle,
  bathroomBasinReceptacle,
  bathroomCircuit,
  belowCounterReceptacle,
  boxClearOfFraming,
  boxCovering,
  boxFill,
  boxInUse,
  boxInWall,
  boxOnStud,
  boxSupport,
  boxesCollide,
  ceilingBodies,
  circuitInPanel,
  circuitOverload,
  circuitVoltage,
  closetLuminaire,
  coAlarms,
  conductorSize,
  conductorsTogether,
  continuousLoads,
  cordLength,
  cordLoad,
  counterReceptacleSpacing,
  dimmerUse,
  dishwasherReceptacle,
  driverPlace,
  escapeOpening,
  extendedCircuit,
  fastenedInPlaceShare,
  feedOrder,
  foyerReceptacle,
  garageCircuit,
  garageReceptacle,
  generalCircuits,
  gfciProtection,
  groupAcrossFloors,
  hallwayReceptacle,
  heaterBelowReceptacle,
  homeRun,
  hotTubReceptacles,
  idleSwitch,
  individualCircuit,
  insulationContact,
  islandReceptacle,
  laundryCircuit,
  laundryReceptacle,
  legBalance,
  lightingExteriorDoor,
  lightingOutlet,
  lightingStorageSpaces,
  lowVoltageApart,
  multiwireCircuit,
  neutralAtSwitch,
  outdoorCovers,
  outdoorManualWay,
  outdoorReceptacles,
  outletOnCircuit,
  panelPlace,
  panelSpaces,
  panelWorkingSpace,
  permissibleLoads,
  porchReceptacle,
  provisionalBoxes,
  receptacleRating,
  receptaclesPerCircuit,
  refrigeratorOnGfci,
  roomUseNamed,
  serviceReceptacle,
  serviceSize,
  smallApplianceCircuits,
  smallApplianceOnly,
  smallApplianceReceptacles,
  smokeAlarms,
  stairDimmer,
  stairLightCircuit,
  stairSwitches,
  switchGroups,
  switchHeight,
  switchInTub,
  switchNearEntrance,
  tamperResistant,
  tubZoneLuminaires,
  tubZoneReceptacles,
  voltageDrop,
  wallReceptacleSpacing,
  weatherResistant,
  wetLuminaires,
  whiteAsTraveler,
];
