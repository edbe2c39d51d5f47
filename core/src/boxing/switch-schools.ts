import { indexOutlets, type Outlet } from '../circuits/outlets';
import { OUTDOOR_KINDS } from '../code/protection/gfci';
import { distance, nearestOnSegment, type Point } from '../house/geometry';
import { edit, type Edited } from '../house/edit';
import { newDevice, type Device } from '../house/schema-equipment';
import type { Draft } from 'immer';
import { switchingSchema, type Box, type House, type SwitchGroup, type Switching } from '../house/schema';
import { joinSwitch } from '../house/switch-verbs';
import { inTurn } from '../house/circuit-verbs';
import { placeBoxes, type NewId } from '../house/verbs';
import { featureOutline } from '../plan/points';
import { studFaces } from '../plan/studs';
import { fromLoop, toLoop, wallLoop } from '../plan/wall-loop';
import { roomBehind, viewRoom, wallOf, type SeenOpening } from '../plan/room-view';
import type { Result } from '../units/result';
import { bestSpot, type Spot } from './spots';

/** One question of switching that the code leaves to the firm. */
export interface SwitchingSchool {
  readonly field: keyof Switching;
  readonly question: string;
  readonly answers: readonly { readonly value: string; readonly word: string; readonly why: string }[];
}

/** *Common practice*: each has its followers, none is the code's. */
export const SWITCHING_SCHOOLS: readonly SwitchingSchool[] = [
  {
    field: 'fans',
    question: 'Ceiling fan and its light',
    answers: [
      { value: 'apart', word: 'each its own switch', why: 'Three-conductor cable to the fan; air without light.' },
      { value: 'together', word: 'one switch', why: 'One gang; pull chains or a remote part them.' },
    ],
  },
  {
    field: 'bathFans',
    question: 'Bath fan and light',
    answers: [
      { value: 'apart', word: 'each its own switch', why: 'The fan runs on when the light is off, and not at night.' },
      { value: 'together', word: 'one switch', why: 'Nobody forgets to run the fan.' },
    ],
  },
  {
    field: 'closets',
    question: 'Closet lights',
    answers: [
      { value: 'wall', word: 'wall switch', why: 'Plain, and found in the dark.' },
      { value: 'door-jamb', word: 'switch in the door jamb', why: 'Light with the door; off when it is shut.' },
      { value: 'occupancy', word: 'occupancy sensor', why: 'Nobody leaves it on. Its electronics need a neutral.' },
    ],
  },
  {
    field: 'outdoors',
    question: 'Outdoor lights',
    answers: [
      { value: 'by-hand', word: 'wall switch only', why: 'Light when somebody wants it.' },
      {
        value: 'astronomic',
        word: 'astronomic timer',
        why: 'In the wall; dusk to bedtime by itself; its button is the manual way.',
      },
      {
        value: 'dusk',
        word: 'dusk sensor in the light',
        why: 'Dark to dawn by itself; the wall switch ahead of it is the manual way.',
      },
    ],
  },
  {
    field: 'bedside',
    question: 'Bedside switch for the room light',
    answers: [
      { value: 'no', word: 'none', why: 'Saves a three-way and its travelers.' },
      {
        value: 'yes',
        word: 'three-way by the pillow',
        why: 'Nobody walks back to bed in the dark. Needs a bed in the plan.',
      },
    ],
  },
  {
    field: 'spareGang',
    question: 'Spare gang',
    answers: [
      { value: 'no', word: 'none', why: 'Each box as large as it has to be.' },
      { value: 'entries', word: 'at outside doors', why: 'Somebody always adds a light outside.' },
    ],
  },
];

const usual = switchingSchema.parse({});
/** The schools of switching in force. */
export const switchingOf = ({ standards }: Pick<House, 'standards'>): Switching => standards.switching ?? usual;

/** One thing that is drawn otherwise than the schools would have it. */
export interface SchoolChange {
  readonly id: string;
  readonly school: keyof Switching;
  readonly room: string;
  readonly box: string;
  /** What would be done, in one sentence. */
  readonly words: string;
  readonly apply: (house: House, newId: NewId) => Result<Edited>;
}

const CLOSETS = /closet|linen|pantry/;
const BATHS = /^(bathroom|half-bath)$/;
/** Above the mattress, on the wall beside it, inches: *common practice*. */
const BEDSIDE_HEIGHT_IN = 28;
const BEDSIDE_REACH_IN = 30;
/** From the edge of the opening to the middle of the small box in the jamb, and its height, inches: *common practice*. */
const JAMB_IN = 1;
const JAMB_HEIGHT_IN = 66;

interface Drawn {
  readonly group: SwitchGroup;
  readonly switches: readonly Outlet[];
  readonly controls: readonly Outlet[];
}

function drawnGroups(house: House): Drawn[] {
  const { byDevice } = indexOutlets(house);
  const find = (ids: readonly string[]) => ids.flatMap((id) => byDevice.get(id) ?? []);
  return Object.values(house.switchGroups).flatMap((group) => {
    const [switches, controls] = [find(group.switches), find(group.controls)];
    return switches.length > 0 && controls.length > 0 ? [{ group, switches, controls }] : [];
  });
}

const styleOf = ({ device }: Outlet) => (device.kind === 'switch' ? device.style : undefined);
const isLight = ({ device }: Outlet) => device.kind === 'luminaire';
/** A ceiling fan, or an exhaust fan that is wired in. */
export const isFan = ({ device, load }: Outlet): boolean => device.kind === 'fan' || load?.kind === 'exhaust-fan';

const restyle = (one: Outlet, style: string) => (house: House) =>
  edit(house, 'Apply a school', (draft) => {
    const device = draft.boxes[one.box.id]?.devices[one.device.id];
    if (device) Object.assign(device, { style });
  });

/** The hinge side of the door of a small room: where a switch in the jamb feels the door. */
function hingeJamb(house: House, room: string): { wall: string; alongIn: number } | undefined {
  const view = viewRoom(house, room);
  const seen = view.openings.find(({ opening }) => opening.kind === 'door' && opening.leaves === 1);
  if (seen?.opening.kind !== 'door') return undefined;
  const atStart = (seen.opening.hinge === 'left') === seen.own;
  return { wall: seen.wall, alongIn: atStart ? seen.alongIn - JAMB_IN : seen.alongIn + seen.widthIn + JAMB_IN };
}

function closetChanges(house: House, drawn: readonly Drawn[], school: Switching['closets']): SchoolChange[] {
  const wanted = school === 'wall' ? 'toggle' : school;
  return drawn.flatMap(({ group, switches, controls }) => {
    const [only] = switches;
    if (switches.length > 1 || !controls.every((one) => isLight(one) && CLOSETS.test(one.room.kind))) return [];
    const style = styleOf(only!);
    if (style === wanted || !/^(toggle|door-jamb|occupancy)$/.test(style ?? '')) return [];
    const closet = controls[0]!.room;
    const jamb = wanted === 'door-jamb' ? hingeJamb(house, closet.id) : undefined;
    if (wanted === 'door-jamb' && !jamb) return [];
    const alone = Object.keys(only!.box.devices).length === 1;
    if (jamb && !alone) return [];
    const words = {
      'door-jamb': `${group.name}: a switch in the hinge jamb of ${closet.name}, in place of ${only!.box.tag}`,
      occupancy: `${group.name}: an occupancy sensor in ${only!.box.tag}`,
      toggle: `${group.name}: a plain switch in ${only!.box.tag}`,
    }[wanted];
    const apply = (now: House) =>
      inTurn('Apply a school', now, [
        restyle(only!, wanted),
        (next) =>
          edit(next, 'Move box', (draft) => {
            const box = draft.boxes[only!.box.id];
            if (!jamb || !box) return;
            box.room = closet.id;
            box.at = { kind: 'wall', ...jamb, heightIn: JAMB_HEIGHT_IN };
            box.bracket = true;
          }),
      ]);
    return [
      { id: `closets ${group.id}`, school: 'closets' as const, room: closet.id, box: only!.box.id, words, apply },
    ];
  });
}

function outdoorChanges(drawn: readonly Drawn[], school: Switching['outdoors']): SchoolChange[] {
  return drawn.flatMap(({ group, switches, controls }): SchoolChange[] => {
    if (!controls.every((one) => isLight(one) && OUTDOOR_KINDS.has(one.room.kind))) return [];
    const own = { school: 'outdoors' as const, room: switches[0]!.room.id, box: switches[0]!.box.id };
    const automatic = switches.filter((one) => /^(astronomic|dusk)$/.test(styleOf(one) ?? ''));
    const sensed = controls.filter(({ device }) => device.kind === 'luminaire' && device.sensor !== undefined);
    const withSensor = (outlets: readonly Outlet[], sensor: 'dusk' | undefined) => (house: House) =>
      edit(house, 'Apply a school', (draft) => {
        for (const { box, device } of outlets) {
          const one = draft.boxes[box.id]?.devices[device.id];
          if (one?.kind !== 'luminaire') continue;
          if (sensor) one.sensor = sensor;
          else delete one.sensor;
        }
      });
    const plain = automatic.map((one) => restyle(one, 'toggle'));
    if (school === 'by-hand' && (automatic.length > 0 || sensed.length > 0))
      return [
        {
          ...own,
          id: `outdoors ${group.id}`,
          words: `${group.name}: wall switch only`,
          apply: (house) => inTurn('Apply a school', house, [...plain, withSensor(sensed, undefined)]),
        },
      ];
    const toggle = switches.find((one) => styleOf(one) === 'toggle');
    if (school === 'astronomic' && !automatic.some((one) => styleOf(one) === 'astronomic') && toggle)
      return [
        {
          ...own,
          id: `outdoors ${group.id}`,
          words: `${group.name}: an astronomic timer in ${toggle.box.tag}`,
          apply: (house) =>
            inTurn('Apply a school', house, [...plain, withSensor(sensed, undefined), restyle(toggle, 'astronomic')]),
        },
      ];
    if (school === 'dusk' && (sensed.length < controls.length || automatic.length > 0))
      return [
        {
          ...own,
          id: `outdoors ${group.id}`,
          words: `${group.name}: a dusk sensor in ${controls.map((one) => one.box.tag).join(', ')}, the wall switch stays`,
          apply: (house) => inTurn('Apply a school', house, [...plain, withSensor(controls, 'dusk')]),
        },
      ];
    return [];
  });
}

/** How far the middle of a box moves when it grows by a gang and its stud stays, inches, with room for a sixteenth. */
const GROWS_IN = 1.9;

/** A device more in a box, beside another: the box grows by a gang, away from the stud that it is nailed to. */
function addGang(house: House, draft: Draft<House>, boxId: string, device: Device): void {
  const box = draft.boxes[boxId]!;
  box.devices[device.id] = device;
  const gangs = Math.max(box.gangs, Math.min(6, Object.keys(box.devices).length));
  if (box.at.kind === 'wall' && gangs > box.gangs && !box.bracket) {
    const view = viewRoom(house, box.room);
    const loop = wallLoop(view.room);
    const atIn = toLoop(loop, box.at.wall, box.at.alongIn);
    const faces = studFaces(view, box.at.heightIn, gangs).filter((face) => Math.abs(face.atIn - atIn) <= GROWS_IN);
    const [face] = [...faces].sort((a, b) => Math.abs(a.atIn - atIn) - Math.abs(b.atIn - atIn));
    const place = face && fromLoop(loop, face.atIn);
    if (place?.wall.id === box.at.wall) box.at.alongIn = place.alongIn;
    else if (!face) box.bracket = true;
  }
  box.gangs = gangs;
}

function fanChanges(drawn: readonly Drawn[], schools: Switching): SchoolChange[] {
  return drawn.flatMap(({ group, switches, controls }): SchoolChange[] => {
    const fans = controls.filter(isFan);
    if (fans.length === 0) return [];
    const { room } = fans[0]!;
    const school = BATHS.test(room.kind) ? 'bathFans' : 'fans';
    const own = { id: `${school} ${group.id}`, school, room: room.id, box: switches[0]!.box.id } as const;
    if (schools[school] === 'apart' && controls.some(isLight)) {
      const first = switches.find((one) => Object.keys(one.box.devices).length < 6);
      if (!first) return [];
      return [
        {
          ...own,
          words: `${room.name}: the fan on a switch of its own in ${first.box.tag}`,
          apply: (house, newId) =>
            edit(house, 'Apply a school', (draft) => {
              const device = newDevice('switch', newId('device'), { circuit: first.device.circuit });
              addGang(house, draft, first.box.id, device);
              const ids = fans.map((one) => one.device.id);
              const old = draft.switchGroups[group.id]!;
              old.controls = old.controls.filter((id) => !ids.includes(id));
              const id = newId('group');
              draft.switchGroups[id] = { id, name: `${room.name} fan`, switches: [device.id], controls: ids };
            }),
        },
      ];
    }
    const lit = drawn.find((one) => one.group !== group && one.controls.some((to) => isLight(to) && to.room === room));
    if (schools[school] === 'together' && controls.every(isFan) && lit)
      return [
        {
          ...own,
          words: `${room.name}: the fan with the light of ${lit.group.name}, one switch less in ${switches[0]!.box.tag}`,
          apply: (house) =>
            edit(house, 'Apply a school', (draft) => {
              draft.switchGroups[lit.group.id]!.controls.push(...controls.map((one) => one.device.id));
              delete draft.switchGroups[group.id];
              for (const { box, device } of switches) dropDevice(draft, box, device.id);
            }),
        },
      ];
    return [];
  });
}

/** A switch out of its box, and the box with it when nothing else is in it. */
function dropDevice(draft: Draft<House>, { id }: Box, device: string): void {
  const box = draft.boxes[id]!;
  delete box.devices[device];
  const left = Object.keys(box.devices).length;
  if (left === 0) {
    delete draft.boxes[id];
    for (const cable of Object.values(draft.cables))
      if (cable.from === id || cable.to === id) delete draft.cables[cable.id];
  } else box.gangs = Math.max(1, Math.min(box.gangs, left));
}

/** Free wall within an arm's length of the pillow end of a bed. */
function besideBed(house: House, room: string): Spot | undefined {
  const view = viewRoom(house, room);
  const bed = view.features.find((one) => one.kind === 'bed');
  if (!bed) return undefined;
  const outline = featureOutline(view.room, bed);
  const far = (point: Point) =>
    Math.min(
      ...outline.map((corner, i) =>
        distance(point, nearestOnSegment(point, corner, outline[(i + 1) % outline.length]!)),
      ),
    );
  const near = (spot: Spot) => {
    const away = far(spot.point);
    return away > 3 && away <= BEDSIDE_REACH_IN && (bed.at.kind !== 'wall' || spot.at.wall === bed.at.wall)
      ? Math.abs(away - 10)
      : undefined;
  };
  return bestSpot(view, { heightIn: BEDSIDE_HEIGHT_IN, cost: near });
}

function bedsideChanges(house: House, drawn: readonly Drawn[]): SchoolChange[] {
  return drawn.flatMap(({ group, switches, controls }): SchoolChange[] => {
    const light = controls.find((one) => isLight(one) && one.room.kind === 'bedroom');
    if (!light || switches.length >= 12) return [];
    const { room } = light;
    const spot = besideBed(house, room.id);
    if (!spot) return [];
    const isThere = switches.some(
      ({ box }) =>
        box.room === room.id && box.at.kind === 'wall' && box.at.heightIn < 40 && box.at.wall === spot.at.wall,
    );
    if (isThere) return [];
    return [
      {
        id: `bedside ${group.id}`,
        school: 'bedside',
        room: room.id,
        box: switches[0]!.box.id,
        words: `${group.name}: one place more beside the bed of ${room.name}`,
        apply: (now, newId) => {
          const id = newId('device');
          return inTurn('Apply a school', now, [
            (next) =>
              placeBoxes(next, [
                {
                  id: newId('box'),
                  room: room.id,
                  at: spot.at,
                  origin: 'wish',
                  devices: [newDevice('switch', id)],
                  ...(spot.bracket ? { bracket: true } : {}),
                },
              ]),
            (next) => joinSwitch(next, id, light.device.id, newId),
          ]);
        },
      },
    ];
  });
}

/** A door to the open, or to a porch or deck. */
const leadsOut = (house: House, room: string, seen: SeenOpening): boolean => {
  if (!/^(door|slider)$/.test(seen.opening.kind)) return false;
  const behind = roomBehind(house, room, seen);
  return behind === undefined || OUTDOOR_KINDS.has(behind.kind);
};

function spareChanges(house: House): SchoolChange[] {
  return Object.values(house.rooms).flatMap((room) => {
    if (OUTDOOR_KINDS.has(room.kind)) return [];
    const view = viewRoom(house, room.id);
    return view.openings
      .filter((seen) => leadsOut(house, room.id, seen))
      .flatMap((seen): SchoolChange[] => {
        const wall = wallOf(view, seen.wall);
        const box = view.boxes.find(
          ({ at, devices }) =>
            at.kind === 'wall' &&
            at.wall === wall.id &&
            at.alongIn > seen.alongIn - 24 &&
            at.alongIn < seen.alongIn + seen.widthIn + 24 &&
            Object.values(devices).some((one) => one.kind === 'switch'),
        );
        if (!box || Object.keys(box.devices).length >= 6) return [];
        if (Object.values(box.devices).some((one) => one.kind === 'blank')) return [];
        return [
          {
            id: `spareGang ${box.id}`,
            school: 'spareGang',
            room: room.id,
            box: box.id,
            words: `${box.tag}: a spare gang under a blank, by the outside door of ${room.name}`,
            apply: (now, newId) =>
              edit(now, 'Apply a school', (draft) => addGang(now, draft, box.id, newDevice('blank', newId('device')))),
          },
        ];
      });
  });
}

/**
 * What is drawn otherwise than the firm's schools of switching would have it, each as a change that can be taken by itself.
 * What a group is besides (dimmers, smart switches, several places) stays.
 */
export function compareWithSchools(house: House): readonly SchoolChange[] {
  const schools = switchingOf(house);
  const drawn = drawnGroups(house);
  const found = [
    ...fanChanges(drawn, schools),
    ...closetChanges(house, drawn, schools.closets),
    ...outdoorChanges(drawn, schools.outdoors),
    ...(schools.bedside === 'yes' ? bedsideChanges(house, drawn) : []),
    ...(schools.spareGang === 'entries' ? spareChanges(house) : []),
  ];
  return [...new Map(found.map((one) => [one.id, one])).values()];
}

/** Several changes as one edit, each on what the one before has left. */
export const applySchools = (house: House, changes: readonly SchoolChange[], newId: NewId): Result<Edited> =>
  inTurn(
    changes.length === 1 ? 'Apply a school' : 'Apply the schools of switching',
    house,
    changes.map((one) => (now: House) => one.apply(now, newId)),
  );
