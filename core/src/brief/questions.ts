import type { Box, Feature, FeatureKind, House, Room, RoomKind, Trade } from '../house/schema';
import type { LoadKind } from '../house/schema-equipment';
import { burnsFuel } from '../loads/hookups';
import { inRoom } from '../plan/room-view';

/** What a question looks at: the house, and the room it is asked of; none for a question of the house as a whole. */
export interface Asked {
  readonly house: House;
  readonly room: Room | undefined;
}

/** A thing that has to be known before boxes are nailed, *common practice*: who knows it, and what is assumed until then. */
export interface Question {
  readonly id: string;
  /** The rooms it is asked of; none where it is asked once of the house. */
  readonly rooms: readonly RoomKind[] | 'house';
  readonly asks: string;
  readonly why: string;
  /** What the layout goes by until somebody answers. */
  readonly usual: string;
  readonly who: Trade;
  /** Whether it is asked at all: an island's question only where there is one. */
  readonly when?: (asked: Asked) => boolean;
  /** What the drawing says already, in words; undefined where it says nothing. */
  readonly drawn?: (asked: Asked) => string | undefined;
  /** Boxes that are where they are because of what was assumed. */
  readonly rests?: (asked: Asked) => readonly Box[];
}

const featuresOf = ({ house, room }: Asked): readonly Feature[] =>
  room ? inRoom(house.features, room.id) : Object.values(house.features);
const boxesOf = ({ house, room }: Asked): readonly Box[] =>
  room ? inRoom(house.boxes, room.id) : Object.values(house.boxes);
const has = (...kinds: readonly FeatureKind[]) => {
  const wanted = new Set<FeatureKind>(kinds);
  return (asked: Asked): string | undefined => {
    const found = [...new Set(featuresOf(asked).filter((one) => wanted.has(one.kind)))];
    return found.length > 0 ? `drawn: ${[...new Set(found.map(nameOf))].join(', ')}` : undefined;
  };
};
const nameOf = (one: Feature): string => (one.name || one.kind.replaceAll('-', ' ')).toLowerCase();
const connects = (...kinds: readonly LoadKind[]) => {
  const wanted = new Set<LoadKind>(kinds);
  return ({ house, room }: Asked): string | undefined => {
    const found = Object.values(house.loads).filter(
      (one) => wanted.has(one.kind) && (!room || house.boxes[one.box]?.room === room.id),
    );
    return found.length > 0 ? `connected: ${[...new Set(found.map((one) => one.name))].join(', ')}` : undefined;
  };
};
const either =
  (...some: readonly ((asked: Asked) => string | undefined)[]) =>
  (asked: Asked): string | undefined => {
    for (const one of some) {
      const said = one(asked);
      if (said !== undefined) return said;
    }
    return undefined;
  };
const holds =
  (words: string, is: (box: Box) => boolean) =>
  (asked: Asked): string | undefined =>
    boxesOf(asked).some(is) ? `drawn: ${words}` : undefined;
const deviceOf = (box: Box, kind: string): boolean => Object.values(box.devices).some((one) => one.kind === kind);
const tiled = (asked: Asked): string | undefined =>
  asked.room?.corners.some((one) => one.covering?.kind === 'tile') ? 'drawn: tile on a wall' : has('tile')(asked);

const overCounters = (asked: Asked): readonly Box[] =>
  boxesOf(asked).filter((box) => box.at.kind === 'wall' && box.at.heightIn >= 36 && deviceOf(box, 'receptacle'));
const onWalls = (asked: Asked): readonly Box[] => boxesOf(asked).filter((box) => box.at.kind === 'wall');
const inCeiling = (asked: Asked): readonly Box[] =>
  boxesOf(asked).filter((box) => box.at.kind === 'ceiling' && !deviceOf(box, 'alarm'));
const wallLights = (asked: Asked): readonly Box[] => onWalls(asked).filter((box) => deviceOf(box, 'luminaire'));
const lowReceptacles = (asked: Asked): readonly Box[] =>
  onWalls(asked).filter((box) => deviceOf(box, 'receptacle') && box.at.kind === 'wall' && box.at.heightIn < 36);

const LIVING: readonly RoomKind[] = ['living', 'family', 'den', 'recreation', 'basement-finished', 'sunroom'];
const BATHS: readonly RoomKind[] = ['bathroom', 'half-bath'];
const OUTSIDE: readonly RoomKind[] = ['porch', 'deck', 'balcony', 'outdoors'];

/** Every question of the brief, in the order in which a first meeting goes: the house, then room by room. */
export const QUESTIONS: readonly Question[] = [
  {
    id: 'edition',
    rooms: 'house',
    asks: 'Which edition binds the permit, and what has the authority added to it?',
    why: 'The permit date freezes the edition. A newer one can mean five or six dual-function breakers more.',
    usual: 'the edition set under Job',
    who: 'inspector',
    drawn: ({ house: { job } }) =>
      job.permitDate
        ? `NEC ${job.edition}, permit of ${job.permitDate}${job.authority && `, ${job.authority}`}`
        : undefined,
  },
  {
    id: 'heat',
    rooms: 'house',
    asks: 'What heats and cools the house, and where does each unit stand?',
    why: 'Electric heat decides the service, and every unit requires a circuit, a disconnect and a receptacle beside it.',
    usual: 'heat that burns fuel, with a circuit of its own',
    who: 'hvac',
    drawn: either(
      connects(
        'furnace',
        'boiler',
        'electric-furnace',
        'heat-pump',
        'mini-split',
        'baseboard-heat',
        'cove-heat',
        'air-conditioner',
      ),
      has('furnace', 'air-handler', 'condenser', 'baseboard-heater'),
    ),
  },
  {
    id: 'water-heater',
    rooms: 'house',
    asks: 'How is water heated, and where?',
    why: 'A tank takes 30 A, an electric instant heater can take more than the whole rest of the house.',
    usual: 'a tank that burns fuel',
    who: 'plumber',
    drawn: either(connects('water-heater', 'heat-pump-water-heater', 'tankless-water-heater'), has('water-heater')),
  },
  {
    id: 'fuel',
    rooms: 'house',
    asks: 'What burns fuel in the house: range, dryer, furnace, fireplace, water heater?',
    why: 'What burns fuel requires carbon monoxide alarms, and gas piping is bonded.',
    usual: 'nothing that is not drawn so',
    who: 'builder',
    drawn: (asked) =>
      Object.values(asked.house.features).some(burnsFuel)
        ? has('range', 'cooktop', 'dryer', 'furnace', 'fireplace', 'water-heater')(asked)
        : undefined,
  },
  {
    id: 'vehicle',
    rooms: 'house',
    asks: 'Will a vehicle be charged here, now or later, and how fast?',
    why: 'It is the largest load of most houses. A sleeve or a capped cable is cheap before the wall is closed.',
    usual: 'none now',
    who: 'owner',
    drawn: connects('ev-charger', 'ev-charger-48', 'ev-cord'),
  },
  {
    id: 'sources',
    rooms: 'house',
    asks: 'A generator, solar or a battery, now or later?',
    why: 'Busbar, disconnects and the place of the panel are chosen for it, or built twice.',
    usual: 'none now',
    who: 'owner',
    drawn: ({ house }) =>
      Object.keys(house.sources).length > 0
        ? `connected: ${Object.values(house.sources)
            .map((one) => one.name)
            .join(', ')}`
        : undefined,
  },
  {
    id: 'lamp-color',
    rooms: 'house',
    asks: 'Which color temperature do the lights have, room by room?',
    why: 'Selectable fixtures are set alike before the ceiling is closed.',
    usual: '2700 K in living rooms and bedrooms, 3000 K in kitchen and baths',
    who: 'designer',
    drawn: ({ house }) => {
      const lit = Object.values(house.rooms).filter((room) =>
        boxesOf({ house, room }).some((box) => deviceOf(box, 'luminaire')),
      );
      const colors = [...new Set(lit.map((room) => room.lampK))];
      return lit.length > 0 && !colors.includes(undefined) ? `said: ${colors.join(', ')} K` : undefined;
    },
  },
  {
    id: 'siding',
    rooms: 'house',
    asks: 'Which siding, how thick, and at which pitch do its courses run?',
    why: 'Boxes outside stand out by its thickness, and lights clear its joints.',
    usual: 'lap siding on a mounting block',
    who: 'builder',
    when: ({ house }) => Object.values(house.rooms).some((one) => OUTSIDE.includes(one.kind)),
    drawn: ({ house }) => {
      const kinds = new Set(
        Object.values(house.rooms).flatMap((room) =>
          OUTSIDE.includes(room.kind) ? [room.siding?.kind ?? 'undecided'] : [],
        ),
      );
      return kinds.has('undecided') ? undefined : `drawn: ${[...kinds].join(', ').replaceAll('-', ' ')}`;
    },
    rests: ({ house }) =>
      Object.values(house.rooms)
        .filter((room) => OUTSIDE.includes(room.kind))
        .flatMap((room) => onWalls({ house, room })),
  },
  {
    id: 'cabinets',
    rooms: ['kitchen'],
    asks: 'Is the cabinet drawing final: sink, range, refrigerator, dishwasher?',
    why: 'Counter receptacles are spaced from the ends of the counters. A shifted range leaves slivers that need their own.',
    usual: 'what is drawn',
    who: 'cabinets',
    drawn: (asked) => {
      const kinds = new Set(featuresOf(asked).map((one) => one.kind));
      const cooks = kinds.has('range') || kinds.has('cooktop');
      return kinds.has('sink') && cooks && kinds.has('refrigerator')
        ? 'drawn: sink, range and refrigerator'
        : undefined;
    },
    rests: overCounters,
  },
  {
    id: 'cooking',
    rooms: ['kitchen'],
    asks: 'Is the range or cooktop electric, induction or gas?',
    why: 'It is a 50 A circuit, a 40 A one, or a 120 V receptacle.',
    usual: 'an electric range of 12 kW',
    who: 'owner',
    drawn: connects('range', 'cooktop', 'induction-cooktop', 'gas-range', 'oven', 'double-oven'),
  },
  {
    id: 'hood',
    rooms: ['kitchen'],
    asks: 'A hood or a microwave over the range, and where does its duct go?',
    why: 'A hood on a cord needs a receptacle in the cabinet on a circuit of its own (422.16(B)(4)), and the duct takes the bay.',
    usual: 'a hood on a cord, receptacle in the cabinet',
    who: 'cabinets',
    drawn: either(connects('range-hood', 'microwave'), has('range-hood', 'microwave')),
  },
  {
    id: 'backsplash',
    rooms: ['kitchen'],
    asks: 'What is the backsplash, how thick, and does the owner accept receptacles in it?',
    why: 'Boxes stand flush with tile, and owners refuse them when the slab is up: strips under the cabinets are planned before.',
    usual: 'tile of 3/8 in, receptacles in it',
    who: 'designer',
    drawn: tiled,
    rests: overCounters,
  },
  {
    id: 'under-cabinet',
    rooms: ['kitchen'],
    asks: 'Lights under the wall cabinets: where does the driver live?',
    why: 'A driver stays accessible and cool, and its cable comes out at the bottom rail of the cabinet.',
    usual: 'none',
    who: 'designer',
    drawn: holds('strip lights', (box) =>
      Object.values(box.devices).some((one) => one.kind === 'luminaire' && one.style === 'strip'),
    ),
  },
  {
    id: 'disposer',
    rooms: ['kitchen'],
    asks: 'A disposer, and what switches it: the wall, an air button, its lid?',
    why: 'The receptacle under the sink and its switch are easily forgotten.',
    usual: 'none',
    who: 'plumber',
    drawn: connects('disposer'),
  },
  {
    id: 'island',
    rooms: ['kitchen'],
    asks: 'What is built into the island, and how far does its top reach out for seats?',
    why: 'The rule for islands has changed in every edition. Power comes up through the floor before it is closed.',
    usual: 'a work surface without sink or cooktop',
    who: 'cabinets',
    when: (asked) => has('island', 'peninsula')(asked) !== undefined,
    drawn: (asked) =>
      featuresOf(asked).some((one) => one.overhangIn !== undefined) ? 'drawn: the overhang of its top' : undefined,
    rests: (asked) => boxesOf(asked).filter((box) => box.at.kind === 'feature' || box.at.kind === 'floor'),
  },
  {
    id: 'table',
    rooms: ['dining', 'breakfast'],
    asks: 'Where does the table stand, and how heavy is the light over it?',
    why: 'The light hangs over the table, not in the middle of the room. Over 50 lb it needs a box or a backing of its own (314.27(A)).',
    usual: 'the middle of the room, under 50 lb',
    who: 'designer',
    drawn: has('furniture'),
    rests: inCeiling,
  },
  {
    id: 'basin',
    rooms: BATHS,
    asks: 'Where is the center of the basin, and where are the drawers?',
    why: 'The light centers on the basin, the receptacle stands within 3 ft of it, and pipes take the bay in the middle.',
    usual: 'what is drawn',
    who: 'plumber',
    drawn: has('basin'),
    rests: (asked) => [...wallLights(asked), ...overCounters(asked)],
  },
  {
    id: 'mirror',
    rooms: BATHS,
    asks: 'Which mirror or medicine cabinet, how large, and is it lit?',
    why: 'A box behind the mirror is found at trim. A lit one takes its cable in the middle.',
    usual: 'a plain mirror 36 in wide, lights over it',
    who: 'designer',
    drawn: has('mirror'),
    rests: (asked) => [...wallLights(asked), ...overCounters(asked)],
  },
  {
    id: 'bath-tile',
    rooms: BATHS,
    asks: 'Where does tile go, how high and how thick?',
    why: 'Boxes in tile stand out by its thickness, or wait for it.',
    usual: 'tile at tub and shower alone',
    who: 'tile',
    drawn: tiled,
  },
  {
    id: 'bath-fan',
    rooms: BATHS,
    asks: 'Which fan, with or without light and heat, and who runs its duct to where?',
    why: 'Fan, light and heat each take a switch of their own; a heater takes its own circuit.',
    usual: 'a fan alone',
    who: 'hvac',
    drawn: either(
      connects('exhaust-fan', 'bath-heater'),
      has('bath-fan'),
      holds('a fan', (box) => deviceOf(box, 'fan')),
    ),
  },
  {
    id: 'bidet',
    rooms: BATHS,
    asks: 'A bidet seat, now or later?',
    why: 'It needs a receptacle low beside the toilet: the one that owners request after the tile is up.',
    usual: 'none',
    who: 'owner',
    drawn: either(connects('bidet-seat'), has('bidet-seat')),
  },
  {
    id: 'warm-floor',
    rooms: ['bathroom'],
    asks: 'A warm floor, a heated towel bar, steam or a pumped tub?',
    why: 'Each needs GFCI, a place for its control and mostly a circuit of its own.',
    usual: 'none',
    who: 'owner',
    drawn: connects('floor-heat', 'towel-warmer', 'steam-shower', 'tub-pump'),
  },
  {
    id: 'bed',
    rooms: ['bedroom'],
    asks: 'Where does the head of the bed stand, and who sleeps on which side?',
    why: 'Receptacles and switches belong beside the bed, not behind the headboard.',
    usual: 'the longest wall',
    who: 'owner',
    drawn: has('bed'),
    rests: lowReceptacles,
  },
  {
    id: 'bedroom-fan',
    rooms: ['bedroom'],
    asks: 'A ceiling fan, now or later?',
    why: 'It needs a box that carries a fan (314.27(C)) and three conductors from the switch.',
    usual: 'a light alone',
    who: 'owner',
    drawn: holds('a fan', (box) => deviceOf(box, 'fan')),
    rests: inCeiling,
  },
  {
    id: 'screen',
    rooms: LIVING,
    asks: 'Which wall has the screen, how high, and what stands under it?',
    why: 'Power and data hide behind it; a fireplace under it changes height and heat.',
    usual: 'the longest wall without glass',
    who: 'owner',
    drawn: either(has('tv'), connects('television')),
    rests: lowReceptacles,
  },
  {
    id: 'furniture',
    rooms: LIVING,
    asks: 'Where does the seating stand, and does any of it stand free in the room?',
    why: 'A sofa away from the walls needs a floor receptacle: in a slab it is now or never.',
    usual: 'against the walls',
    who: 'owner',
    drawn: has('sofa', 'furniture'),
  },
  {
    id: 'ceiling',
    rooms: [...LIVING, 'dining'],
    asks: 'Beams, coffers, a cove or a vault?',
    why: 'Lights are drawn on the floor first, so that they can be moved before anything is cut.',
    usual: 'a flat ceiling',
    who: 'designer',
    drawn: either(has('beam'), ({ room }) =>
      room?.ceiling && room.ceiling.kind !== 'undecided' ? `drawn: a ceiling of ${room.ceiling.kind}` : undefined,
    ),
    rests: inCeiling,
  },
  {
    id: 'desk',
    rooms: ['office', 'studio', 'library'],
    asks: 'Where does the desk stand, and what runs on it all day?',
    why: 'Receptacles and data at desk height; a printer or heater may need a circuit.',
    usual: 'under the window',
    who: 'owner',
    drawn: either(has('desk'), connects('computer')),
    rests: lowReceptacles,
  },
  {
    id: 'laundry',
    rooms: ['laundry'],
    asks: 'Is the dryer electric, heat pump or gas, and are the machines stacked?',
    why: 'It is a 30 A 240 V receptacle or a 120 V one. Stacked machines move both.',
    usual: 'an electric dryer beside the washer',
    who: 'owner',
    drawn: connects('dryer', 'gas-dryer', 'heat-pump-dryer'),
  },
  {
    id: 'garage',
    rooms: ['garage'],
    asks: 'Which bays have an opener, and is there a workbench, a freezer, a compressor?',
    why: 'An opener takes a receptacle in the ceiling; shop machines need circuits by horsepower.',
    usual: 'one opener a vehicle door',
    who: 'owner',
    drawn: either(
      connects('garage-door-opener', 'freezer', 'table-saw', 'compressor', 'welder', 'battery-charger'),
      has('garage-opener', 'freezer', 'workbench'),
    ),
  },
  {
    id: 'shelves',
    rooms: ['closet', 'walk-in-closet', 'linen', 'pantry'],
    asks: 'How deep and how high are the shelves?',
    why: 'Lights keep clear of the storage space: 12 in for one on the surface, 6 for a recessed one; a lamp that is not enclosed is not permitted (410.16).',
    usual: 'one shelf 12 in deep at 68 in',
    who: 'cabinets',
    drawn: has('closet-shelf'),
    rests: inCeiling,
  },
  {
    id: 'finished-later',
    rooms: ['basement-unfinished', 'attic'],
    asks: 'Will it be finished later, and as what?',
    why: 'Spare panel spaces and a sleeve to it cost little now.',
    usual: 'it stays as it is',
    who: 'owner',
  },
  {
    id: 'outside',
    rooms: ['porch', 'deck', 'outdoors'],
    asks: 'Lights at the eaves, holidays, speakers, a fan, a gate, a pump?',
    why: 'A switched receptacle at the eave, or a sleeve to the garden, is set before the soffit and the walk.',
    usual: 'the receptacle and light that the code requires',
    who: 'owner',
    drawn: connects('holiday-lights', 'pool-pump', 'hot-tub', 'plug-in-tub'),
  },
  {
    id: 'water-below',
    rooms: ['utility', 'basement-unfinished', 'basement-finished', 'crawl-space'],
    asks: 'A sump, a well, a softener, a dehumidifier or a radon fan?',
    why: 'A pump that trips with something else floods the basement.',
    usual: 'none',
    who: 'plumber',
    drawn: either(connects('sump-pump', 'well-pump', 'grinder-pump', 'dehumidifier', 'radon-fan'), has('sump')),
  },
];
