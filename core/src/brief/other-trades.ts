import { edit, type Edited } from '../house/edit';
import type { House, Phase, Room, Task, Trade } from '../house/schema';
import type { LoadKind } from '../house/schema-equipment';
import type { NewId } from '../house/new-box';
import { isPaddleFan } from '../place/fans';
import { inRoom } from '../plan/room-view';
import { mustGet, type Result } from '../units/result';

/** Work that falls between the trades, and who mostly does it. */
export interface ProposedTask {
  readonly what: string;
  readonly trade: Trade;
  readonly due: Phase;
  readonly room: string | undefined;
}

interface Item {
  readonly what: string;
  readonly trade: Trade;
  readonly due: Phase;
  /** The rooms it concerns; the house as a whole where it answers one `undefined`. */
  readonly of: (house: House) => readonly (Room | undefined)[];
}

const ofHouse = (is: (house: House) => boolean) => (house: House) => (is(house) ? [undefined] : []);
const roomsWithLoad =
  (...kinds: LoadKind[]) =>
  (house: House) => [
    ...new Set(
      Object.values(house.loads)
        .filter((one) => kinds.includes(one.kind))
        .map((one) => house.rooms[house.boxes[one.box]?.room ?? '']),
    ),
  ];
const roomsOf =
  (...kinds: Room['kind'][]) =>
  (house: House) =>
    Object.values(house.rooms).filter((one) => kinds.includes(one.kind));
const heats = (house: House): boolean =>
  Object.values(house.loads).some((one) => /furnace|boiler|heat-pump$|mini-split|air-conditioner/.test(one.kind)) ||
  Object.values(house.features).some((one) => one.kind === 'furnace' || one.kind === 'air-handler');

/** What falls between the trades on nearly every house, *common practice*. */
const ITEMS: readonly Item[] = [
  { what: 'Thermostat: place, cable and who pulls it', trade: 'hvac', due: 'pulled', of: ofHouse(heats) },
  {
    what: 'Control cable between air handler and outdoor unit',
    trade: 'hvac',
    due: 'pulled',
    of: roomsWithLoad('air-conditioner', 'heat-pump', 'mini-split'),
  },
  {
    what: 'Duct of the exhaust fan, through the roof or wall',
    trade: 'hvac',
    due: 'insulation',
    of: roomsOf('bathroom', 'half-bath'),
  },
  { what: 'Duct of the range hood', trade: 'hvac', due: 'insulation', of: roomsWithLoad('range-hood') },
  { what: 'Duct and outlet of the dryer', trade: 'hvac', due: 'insulation', of: roomsWithLoad('dryer', 'gas-dryer') },
  { what: 'Water line to the ice maker', trade: 'plumber', due: 'insulation', of: roomsWithLoad('refrigerator') },
  {
    what: 'Gas line and shut-off, its bonding',
    trade: 'gas',
    due: 'insulation',
    of: (house) => [
      ...new Set(
        Object.values(house.features)
          .filter((one) => one.fuel)
          .map((one) => house.rooms[one.room]),
      ),
    ],
  },
  {
    what: 'Center of the basin and height of the drain',
    trade: 'plumber',
    due: 'box',
    of: (house) =>
      roomsOf(
        'bathroom',
        'half-bath',
      )(house).filter((room) => inRoom(house.features, room.id).some((one) => one.kind === 'basin')),
  },
  { what: 'Openings in counters and cabinets for receptacles', trade: 'cabinets', due: 'trim', of: roomsOf('kitchen') },
  { what: 'Backsplash before the devices go in', trade: 'tile', due: 'trim', of: roomsOf('kitchen') },
  {
    what: 'Doorbell, chime and its transformer',
    trade: 'low-voltage',
    due: 'pulled',
    of: ofHouse((house) => roomsOf('foyer', 'porch')(house).length > 0),
  },
  {
    what: 'Speakers, cameras, alarm: who pulls and who ends the cables',
    trade: 'low-voltage',
    due: 'pulled',
    of: ofHouse((house) => Object.keys(house.rooms).length > 3),
  },
  {
    what: 'Backing for a heavy light or a fan',
    trade: 'carpenter',
    due: 'box',
    of: (house) => [
      ...new Set(
        Object.values(house.boxes)
          .filter((box) =>
            Object.values(box.devices).some(
              (one) =>
                isPaddleFan(one, mustGet(house.rooms, box.room).kind) ||
                (one.kind === 'luminaire' && one.weightLb > 50),
            ),
          )
          .map((box) => house.rooms[box.room]),
      ),
    ],
  },
  {
    what: 'Fire blocking and sealing of the holes through plates (IRC R302.11)',
    trade: 'builder',
    due: 'insulation',
    of: ofHouse((house) => Object.keys(house.boxes).length > 0),
  },
  {
    what: 'Insulation around recessed lights and boxes in outside walls',
    trade: 'insulation',
    due: 'insulation',
    of: ofHouse((house) => Object.keys(house.boxes).length > 0),
  },
  {
    what: 'Temporary power and light on site',
    trade: 'builder',
    due: 'box',
    of: ofHouse((house) => Object.keys(house.rooms).length > 0),
  },
  {
    what: 'Trench and its depth for feeder or service',
    trade: 'builder',
    due: 'pulled',
    of: ofHouse((house) => Object.keys(house.buildings).length > 0),
  },
];

const sameAs = (task: Pick<Task, 'what' | 'room'>, item: ProposedTask): boolean =>
  task.what === item.what && task.room === item.room;

/** What nobody has taken on yet. */
export function proposedTasks(house: House): readonly ProposedTask[] {
  const written = Object.values(house.tasks);
  return ITEMS.flatMap(({ what, trade, due, of }) =>
    of(house).map((room): ProposedTask => ({ what, trade, due, room: room?.id })),
  ).filter((item) => !written.some((task) => sameAs(task, item)));
}

/** Writes proposed work down, open, as one edit. */
export const writeTasks = (
  house: House,
  items: readonly ProposedTask[],
  written: { readonly by: string; readonly date: string },
  newId: NewId,
): Result<Edited> =>
  edit(house, items.length === 1 ? 'Add task' : `Add ${items.length} tasks`, (draft) => {
    for (const { what, trade, due, room } of items) {
      const id = newId('task');
      draft.tasks[id] = {
        id,
        kind: 'other-trade',
        what,
        trade,
        due,
        state: 'open',
        note: '',
        ...written,
        ...(room ? { room } : {}),
      };
    }
  });

/** Settles a task, or opens it again. */
export const settleTask = (
  house: House,
  id: string,
  state: Task['state'],
  by: { readonly name: string; readonly date: string },
): Result<Edited> =>
  edit(house, state === 'open' ? 'Open a task again' : 'Settle a task', (draft) => {
    const task = draft.tasks[id];
    if (!task) return { code: 'missing', path: `tasks.${id}`, message: 'This task is no longer there.' };
    task.state = state;
    if (state === 'open') {
      delete task.settledBy;
      delete task.settledOn;
    } else [task.settledBy, task.settledOn] = [by.name, by.date];
    return undefined;
  });
