import type { Rule } from '../rule';
import { afciProtection } from './afci-protection';
import { bathroomBasinReceptacle } from './bathroom-basin-receptacle';
import { bathroomCircuit } from './bathroom-circuit';
import { circuitInPanel } from './circuit-in-panel';
import { circuitOverload } from './circuit-overload';
import { circuitVoltage } from './circuit-voltage';
import { conductorSize } from './conductor-size';
import { continuousLoads } from './continuous-loads';
import { cordLoad } from './cord-load';
import { counterReceptacleSpacing } from './counter-receptacle-spacing';
import { fastenedHalf } from './fastened-half';
import { foyerReceptacle } from './foyer-receptacle';
import { garageCircuit } from './garage-circuit';
import { garageReceptacle } from './garage-receptacle';
import { generalCircuits } from './general-circuits';
import { gfciProtection } from './gfci-protection';
import { hallwayReceptacle } from './hallway-receptacle';
import { heaterBelowReceptacle } from './heater-below-receptacle';
import { individualCircuit } from './individual-circuit';
import { islandReceptacle } from './island-receptacle';
import { laundryCircuit } from './laundry-circuit';
import { laundryReceptacle } from './laundry-receptacle';
import { legBalance } from './leg-balance';
import { outdoorReceptacles } from './outdoor-receptacles';
import { outletOnCircuit } from './outlet-on-circuit';
import { panelSpaces } from './panel-spaces';
import { porchReceptacle } from './porch-receptacle';
import { receptacleRating } from './receptacle-rating';
import { receptacleSchool } from './receptacle-school';
import { roomUseNamed } from './room-use-named';
import { smallApplianceCircuits } from './small-appliance-circuits';
import { smallApplianceOnly } from './small-appliance-only';
import { smallApplianceReceptacles } from './small-appliance-receptacles';
import { wallReceptacleSpacing } from './wall-receptacle-spacing';

/** Every rule, by name. A new rule is one file, its table of cases, and one line here. */
export const rules: readonly Rule[] = [
  afciProtection,
  bathroomBasinReceptacle,
  bathroomCircuit,
  circuitInPanel,
  circuitOverload,
  circuitVoltage,
  conductorSize,
  continuousLoads,
  cordLoad,
  counterReceptacleSpacing,
  fastenedHalf,
  foyerReceptacle,
  garageCircuit,
  garageReceptacle,
  generalCircuits,
  gfciProtection,
  hallwayReceptacle,
  heaterBelowReceptacle,
  individualCircuit,
  islandReceptacle,
  laundryCircuit,
  laundryReceptacle,
  legBalance,
  outdoorReceptacles,
  outletOnCircuit,
  panelSpaces,
  porchReceptacle,
  receptacleRating,
  receptacleSchool,
  roomUseNamed,
  smallApplianceCircuits,
  smallApplianceOnly,
  smallApplianceReceptacles,
  wallReceptacleSpacing,
];
