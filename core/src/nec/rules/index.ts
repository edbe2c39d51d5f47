import { accessoryReceptacle } from './accessory-receptacle';
import { afciProtection } from './afci-protection';
import { alarmClearance } from './alarm-clearance';
import { alarmInterconnection } from './alarm-interconnection';
import { alarmPower } from './alarm-power';
import { applianceDisconnect } from './appliance-disconnect';
import { applianceOvercurrent } from './appliance-overcurrent';
import { applianceReceptacle } from './appliance-receptacle';
import { appliancesConnected } from './appliances-connected';
import { atticCable } from './attic-cable';
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
import { buildingDisconnect } from './building-disconnect';
import { buildingElectrode } from './building-electrode';
import { cableOutsideFraming } from './cable-outside-framing';
import { ceilingBodies } from './ceiling-bodies';
import { circuitInPanel } from './circuit-in-panel';
import { circuitOverload } from './circuit-overload';
import { circuitVoltage } from './circuit-voltage';
import { closetLuminaire } from './closet-luminaire';
import { coAlarms } from './co-alarms';
import { conductorSize } from './conductor-size';
import { conductorsRead } from './conductors-read';
import { conductorsTogether } from './conductors-together';
import { continuousLoads } from './continuous-loads';
import { cordLength } from './cord-length';
import { cordLoad } from './cord-load';
import { cordSupply } from './cord-supply';
import { counterReceptacleSpacing } from './counter-receptacle-spacing';
import { dimmerUse } from './dimmer-use';
import { dishwasherReceptacle } from './dishwasher-receptacle';
import { drawingComplete } from './drawing-complete';
import { driverPlace } from './driver-place';
import { emergencyDisconnect } from './emergency-disconnect';
import { escapeOpening } from './escape-opening';
import { exposedCable } from './exposed-cable';
import { extendedCircuit } from './extended-circuit';
import { fastenedInPlaceShare } from './fastened-in-place-share';
import { feedOrder } from './feed-order';
import { feederDrop } from './feeder-drop';
import { feederGround } from './feeder-ground';
import { circuitInGround } from './circuit-in-ground';
import { feederInGround } from './feeder-in-ground';
import { feederNeutral } from './feeder-neutral';
import { feederSize } from './feeder-size';
import { fireSeparation } from './fire-separation';
import { foyerReceptacle } from './foyer-receptacle';
import { garageCircuit } from './garage-circuit';
import { garageReceptacle } from './garage-receptacle';
import { generalCircuits } from './general-circuits';
import { gfciProtection } from './gfci-protection';
import { groundingElectrodes } from './grounding-electrodes';
import { groupAcrossFloors } from './group-across-floors';
import { hallwayReceptacle } from './hallway-receptacle';
import { heatControl } from './heat-control';
import { heatSubdivided } from './heat-subdivided';
import { heaterBelowReceptacle } from './heater-below-receptacle';
import { homeRun } from './home-run';
import { hotTubLuminaires } from './hot-tub-luminaires';
import { hotTubReceptacles } from './hot-tub-receptacles';
import { hotTubSwitches } from './hot-tub-switches';
import { idleSwitch } from './idle-switch';
import { individualCircuit } from './individual-circuit';
import { insulationContact } from './insulation-contact';
import { interruptingRating } from './interrupting-rating';
import { intersystemBond } from './intersystem-bond';
import { islandReceptacle } from './island-receptacle';
import { joistHoles } from './joist-holes';
import { laundryCircuit } from './laundry-circuit';
import { laundryReceptacle } from './laundry-receptacle';
import { legBalance } from './leg-balance';
import { lightingExteriorDoor } from './lighting-exterior-door';
import { lightingOutlet } from './lighting-outlet';
import { lightingStorageSpaces } from './lighting-storage-spaces';
import { lowVoltageApart } from './low-voltage-apart';
import { multiwireCircuit } from './multiwire-circuit';
import { neutralAtSwitch } from './neutral-at-switch';
import { neutralBond } from './neutral-bond';
import { outdoorCovers } from './outdoor-covers';
import { outdoorManualWay } from './outdoor-manual-way';
import { outdoorReceptacles } from './outdoor-receptacles';
import { outletOnCircuit } from './outlet-on-circuit';
import { panelEnclosure } from './panel-enclosure';
import { panelFed } from './panel-fed';
import { panelPlace } from './panel-place';
import { panelSpaces } from './panel-spaces';
import { panelWorkingSpace } from './panel-working-space';
import { permissibleLoads } from './permissible-loads';
import { pipeBonding } from './pipe-bonding';
import { porchReceptacle } from './porch-receptacle';
import { provisionalBoxes } from './provisional-boxes';
import { racewayFill } from './raceway-fill';
import { receptacleRating } from './receptacle-rating';
import { receptaclesPerCircuit } from './receptacles-per-circuit';
import { refrigeratorOnGfci } from './refrigerator-on-gfci';
import { roomUseNamed } from './room-use-named';
import { routeStands } from './route-stands';
import { serviceConductors } from './service-conductors';
import { serviceDisconnects } from './service-disconnects';
import { serviceNeutral } from './service-neutral';
import { serviceReceptacle } from './service-receptacle';
import { serviceSize } from './service-size';
import { sleeveBends } from './sleeve-bends';
import { sleeveContents } from './sleeve-contents';
import { sleeveFill } from './sleeve-fill';
import { smallApplianceCircuits } from './small-appliance-circuits';
import { smallApplianceOnly } from './small-appliance-only';
import { smallApplianceReceptacles } from './small-appliance-receptacles';
import { smokeAlarms } from './smoke-alarms';
import { sourceBusbar } from './source-busbar';
import { sourceTransfer } from './source-transfer';
import { splitYoke } from './split-yoke';
import { stairDimmer } from './stair-dimmer';
import { stairLightCircuit } from './stair-light-circuit';
import { stairSwitches } from './stair-switches';
import { standaloneSource } from './standalone-source';
import { steelStuds } from './steel-studs';
import { studHoles } from './stud-holes';
import { supplyVolts } from './supply-volts';
import { surgeProtection } from './surge-protection';
import { switchGroups } from './switch-groups';
import { switchHeight } from './switch-height';
import { switchInTub } from './switch-in-tub';
import { switchNearEntrance } from './switch-near-entrance';
import { tamperResistant } from './tamper-resistant';
import { thermostatPlace } from './thermostat-place';
import { tubZoneLuminaires } from './tub-zone-luminaires';
import { tubZoneReceptacles } from './tub-zone-receptacles';
import { ungroundedReceptacle } from './ungrounded-receptacle';
import { unitAccess } from './unit-access';
import { unitWallBoxes } from './unit-wall-boxes';
import { unitCircuits } from './unit-circuits';
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
  alarmPower,
  applianceDisconnect,
  applianceOvercurrent,
  applianceReceptacle,
  appliancesConnected,
  atticCable,
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
  unitWallBoxes,
  thermostatPlace,
  buildingDisconnect,
  buildingElectrode,
  cableOutsideFraming,
  fireSeparation,
  ceilingBodies,
  circuitInPanel,
  circuitOverload,
  circuitVoltage,
  closetLuminaire,
  coAlarms,
  conductorSize,
  conductorsRead,
  conductorsTogether,
  continuousLoads,
  cordLength,
  cordLoad,
  cordSupply,
  counterReceptacleSpacing,
  dimmerUse,
  dishwasherReceptacle,
  driverPlace,
  emergencyDisconnect,
  escapeOpening,
  exposedCable,
  extendedCircuit,
  fastenedInPlaceShare,
  feedOrder,
  feederDrop,
  feederGround,
  circuitInGround,
  feederInGround,
  feederNeutral,
  feederSize,
  foyerReceptacle,
  garageCircuit,
  garageReceptacle,
  generalCircuits,
  gfciProtection,
  groundingElectrodes,
  groupAcrossFloors,
  hallwayReceptacle,
  heatControl,
  heatSubdivided,
  heaterBelowReceptacle,
  homeRun,
  hotTubLuminaires,
  hotTubReceptacles,
  hotTubSwitches,
  idleSwitch,
  individualCircuit,
  insulationContact,
  interruptingRating,
  intersystemBond,
  islandReceptacle,
  joistHoles,
  laundryCircuit,
  laundryReceptacle,
  legBalance,
  lightingExteriorDoor,
  lightingOutlet,
  lightingStorageSpaces,
  lowVoltageApart,
  multiwireCircuit,
  splitYoke,
  neutralAtSwitch,
  neutralBond,
  outdoorCovers,
  outdoorManualWay,
  outdoorReceptacles,
  outletOnCircuit,
  panelEnclosure,
  panelFed,
  panelPlace,
  panelSpaces,
  panelWorkingSpace,
  permissibleLoads,
  pipeBonding,
  porchReceptacle,
  provisionalBoxes,
  racewayFill,
  receptacleRating,
  receptaclesPerCircuit,
  refrigeratorOnGfci,
  roomUseNamed,
  drawingComplete,
  routeStands,
  serviceConductors,
  serviceDisconnects,
  serviceNeutral,
  serviceReceptacle,
  serviceSize,
  sleeveBends,
  sleeveContents,
  sleeveFill,
  smallApplianceCircuits,
  smallApplianceOnly,
  smallApplianceReceptacles,
  smokeAlarms,
  sourceBusbar,
  sourceTransfer,
  stairDimmer,
  stairLightCircuit,
  stairSwitches,
  standaloneSource,
  steelStuds,
  studHoles,
  supplyVolts,
  surgeProtection,
  switchGroups,
  switchHeight,
  switchInTub,
  switchNearEntrance,
  tamperResistant,
  tubZoneLuminaires,
  tubZoneReceptacles,
  ungroundedReceptacle,
  unitAccess,
  unitCircuits,
  voltageDrop,
  wallReceptacleSpacing,
  weatherResistant,
  wetLuminaires,
  whiteAsTraveler,
];
