import { cableBetween, spotOfBox, spotOfPanel } from '../../circuits/cable-run';
import type { Outlet } from '../../circuits/outlets';
import { wantedPanel } from '../../circuits/panel-tree';
import type { BreakerKind, House, Panel, Room } from '../../house/schema';
import { breakerPrice } from '../../panel/prices';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { protectionOf, whyNotReadilyAccessible } from './circuit-protection';
import { mustGet } from '../../units/result';

/** One way to give a circuit the protection that its outlets ask for. */
export interface ProtectionWay {
  readonly breaker: BreakerKind;
  /** The receptacle that stands first in line with GFCI; undefined where the breaker gives it. */
  readonly first: Outlet | undefined;
  /** Material at typical prices, dollars. */
  readonly cost: number;
  /** Who resets it where, and what else speaks for it. */
  readonly pros: string;
  readonly isCheapest: boolean;
  /** Why this one is proposed; undefined for the others. */
  readonly proposed: string | undefined;
}

/** A GFCI receptacle over a plain one, dollars: *common practice*, *from memory*, low. */
const GFCI_RECEPTACLE = 18;

/** Loads that trouble a GFCI, or are troubled by it: *common practice*. */
const NUISANCE: Readonly<Record<string, string>> = {
  refrigerator: 'thaws unseen when it opens',
  freezer: 'thaws unseen when it opens',
  'sump-pump': 'floods unseen when it opens',
  'garage-door-opener': 'out of reach of its receptacle, so people carry a ladder to it',
  treadmill: 'its drive leaks to ground and may open it',
};

/** How far people of the rooms that a circuit feeds are from its panel: none of it a rule of the code. */
type PanelReach = 'near' | 'other-level' | 'other-building' | 'other-unit';

function reachOf(house: House, panel: Panel | undefined, rooms: readonly Room[]): PanelReach {
  const at = panel && house.rooms[panel.room];
  if (!at) return 'near';
  if (rooms.some((one) => one.unit !== undefined && at.unit !== undefined && one.unit !== at.unit)) return 'other-unit';
  if (rooms.some((one) => one.building !== at.building)) return 'other-building';
  return rooms.some((one) => one.level !== at.level) ? 'other-level' : 'near';
}

const REACH: Readonly<Record<PanelReach, string>> = {
  near: 'on the same level',
  'other-level': 'on another level',
  'other-building': 'in another building',
  'other-unit': 'in another dwelling unit, whose door may be locked',
};

/** The receptacle to stand first in line: in reach, indoors before outdoors, with nothing of its own before it, nearest the panel. */
function firstInLine(house: House, panel: Panel | undefined, outlets: readonly Outlet[]): Outlet | undefined {
  const from = panel && spotOfPanel(house, panel);
  const feet = ({ box }: Outlet): number => (from ? cableBetween(from, spotOfBox(house, box)) : 0);
  return outlets
    .filter(
      (one) =>
        one.device.kind === 'receptacle' &&
        one.device.volts === 120 &&
        one.device.style === 'duplex' &&
        !whyNotReadilyAccessible(one),
    )
    .sort(
      (a, b) =>
        Number(OUTDOOR_KINDS.has(a.room.kind)) - Number(OUTDOOR_KINDS.has(b.room.kind)) ||
        Number(a.load !== undefined) - Number(b.load !== undefined) ||
        feet(a) - feet(b),
    )[0];
}

/**
 * The ways to protect a circuit, one of them proposed: by price, and by who can reach what is to be reset. Empty where a plain
 * breaker will do. *Common practice* where the code leaves it open.
 */
export function protectionWays(house: House, circuitId: string): ProtectionWay[] {
  const circuit = mustGet(house.circuits, circuitId);
  const { needsGfci, needsAfci, outlets } = protectionOf(house, circuitId);
  if (!needsGfci && !needsAfci) return [];
  const panel = wantedPanel(house, circuit);
  const rooms = [...new Set(outlets.flatMap(({ outlet, gfci }) => (gfci.kind === 'required' ? [outlet.room] : [])))];
  const reach = reachOf(house, panel, rooms);
  const place = panel ? `the panel ${REACH[reach]}` : 'the panel';
  const atBreaker = needsGfci ? (needsAfci ? 'dual' : 'gfci') : 'afci';
  const ways: Omit<ProtectionWay, 'isCheapest' | 'proposed'>[] = [
    {
      breaker: atBreaker,
      first: undefined,
      cost: breakerPrice(atBreaker, circuit.poles),
      pros: `protects the home run as well; reset at ${place}, for whatever comes first in line`,
    },
  ];
  const first =
    needsGfci && circuit.poles === 1
      ? firstInLine(
          house,
          panel,
          outlets.map((one) => one.outlet),
        )
      : undefined;
  if (first) {
    const breaker: BreakerKind = needsAfci ? 'afci' : 'plain';
    ways.push({
      breaker,
      first,
      cost: breakerPrice(breaker, 1) + GFCI_RECEPTACLE,
      pros: `reset in ${first.room.name}, at ${first.box.tag}; it must stand first in line, and stay in reach`,
    });
  }
  const least = Math.min(...ways.map((one) => one.cost));
  const why = whyReceptacle(reach, rooms, first, needsAfci);
  return ways.map((one) => ({
    ...one,
    isCheapest: one.cost === least,
    proposed: one.first ? why.receptacle : why.breaker,
  }));
}

/** Which of the two is proposed, and why; the reason of the other is undefined. */
function whyReceptacle(
  reach: PanelReach,
  rooms: readonly Room[],
  first: Outlet | undefined,
  needsAfci: boolean,
): { readonly receptacle?: string; readonly breaker?: string } {
  if (!first) return { breaker: 'no receptacle of it can stand first in line in reach' };
  if (reach === 'other-unit' || reach === 'other-building')
    return { receptacle: `the panel is ${REACH[reach]}: people reset it where they are` };
  if (needsAfci) return { breaker: 'AFCI is required as well: one dual-function breaker gives both' };
  if (rooms.length === 1 && rooms[0] === first.room)
    return { receptacle: `cheaper, and all it protects is in ${first.room.name}, where it is reset` };
  if (reach === 'other-level') return { receptacle: `cheaper, and the panel is ${REACH[reach]}` };
  return {
    breaker: `it protects ${rooms.length} rooms: whoever finds an outlet dead looks at the panel, not in another room`,
  };
}

/** What on a circuit does not go well with a GFCI, and why. */
export function nuisancesOn(house: House, circuitId: string): { readonly outlet: Outlet; readonly why: string }[] {
  const protection = protectionOf(house, circuitId);
  if (!protection.needsGfci) return [];
  return protection.outlets.flatMap(({ outlet }) => {
    const why = outlet.load && NUISANCE[outlet.load.kind];
    return why ? [{ outlet, why }] : [];
  });
}
