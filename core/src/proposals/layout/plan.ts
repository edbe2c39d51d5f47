import { applyEdit } from '../../house/edit';
import { newDevice, type Device, type DeviceKind } from '../../house/schema-equipment';
import type { BoxPlace, House } from '../../house/schema';
import { boxOf, freeTags } from '../../edits/verbs';
import type { NewBox, NewId } from '../../house/new-box';
import { wallLengthIn } from '../../house/on-wall';
import { boxSchema } from '../../house/schema-boxes';
import { viewRoom, type RoomView } from '../../plan/room-view';

/** A box that would be placed, and why: the section, or the practice, that asks for it. */
export interface ReasonedBox {
  readonly box: NewBox;
  readonly reason: string;
  readonly section: string;
}

/** What a wall control governs. */
export interface ProposedGroup {
  readonly id: string;
  readonly name: string;
  readonly switches: readonly string[];
  readonly controls: readonly string[];
}

/** The boxes that are proposed, with what is left to a person. */
export interface BoxingPlan {
  readonly boxes: readonly ReasonedBox[];
  readonly groups: readonly ProposedGroup[];
  /** Islands that get a provision for a later receptacle (2023). */
  readonly provisions: readonly string[];
  /** What could not be placed, and what a person has to draw or decide. */
  readonly open: readonly { readonly room: string; readonly text: string }[];
}

/**
 * A house that fills with proposed boxes, so that each step sees what the one before has placed. The document itself is
 * changed by nobody until a person accepts.
 */
export class Boxing {
  #house: House;
  readonly #tagFor: ReturnType<typeof freeTags>;
  readonly boxes: ReasonedBox[] = [];
  readonly groups: ProposedGroup[] = [];
  readonly provisions: string[] = [];
  readonly open: { room: string; text: string }[] = [];

  constructor(
    house: House,
    readonly newId: NewId,
  ) {
    this.#house = house;
    this.#tagFor = freeTags(house);
  }

  get house(): House {
    return this.#house;
  }

  view(room: string): RoomView {
    return viewRoom(this.#house, room);
  }

  device<K extends DeviceKind>(kind: K, extra: Parameters<typeof newDevice<K>>[2] = {} as never): Device {
    return newDevice(kind, this.newId('device'), extra);
  }

  /** Places a box; answers whether the document takes it. */
  place(
    room: string,
    at: BoxPlace,
    devices: readonly Device[],
    because: { reason: string; section: string },
    bracket = false,
  ): boolean {
    const box: NewBox = {
      id: this.newId('box'),
      room,
      at,
      origin: 'code',
      devices,
      ...(bracket ? { bracket: true } : {}),
    };
    // In thought only: the whole house is looked at when the plan is accepted, not a thousand times before.
    const drawn = this.#house.rooms[room]!;
    const lengthIn = at.kind === 'wall' ? (wallLengthIn(drawn, at.wall) ?? 0) : Infinity;
    const parsed = boxSchema.safeParse(boxOf(box, this.#tagFor(drawn)));
    if (!parsed.success || (at.kind === 'wall' && (at.alongIn < 0 || at.alongIn > lengthIn))) {
      this.leaveOpen(room, `No room for a box where ${because.reason} requires one. Place it by hand.`);
      return false;
    }
    this.#house = { ...this.#house, boxes: { ...this.#house.boxes, [box.id]: parsed.data } };
    this.boxes.push({ box, ...because });
    return true;
  }

  /** Joins switches with what they govern; a group that has lost its last switch, in a remodel, gets them and keeps its name. */
  group(name: string, switches: readonly string[], controls: readonly string[]): void {
    const bare = Object.values(this.#house.switchGroups).find(
      (one) => one.switches.length === 0 && one.controls.some((id) => controls.includes(id)),
    );
    const group = bare
      ? { id: bare.id, name: bare.name, switches, controls: [...new Set([...bare.controls, ...controls])] }
      : { id: this.newId('group'), name, switches, controls };
    const added = applyEdit(this.#house, [
      {
        op: bare ? 'replace' : 'add',
        path: ['switchGroups', group.id],
        value: { ...bare, ...group, switches: [...switches], controls: [...group.controls] },
      },
    ]);
    if (!added.ok) return this.leaveOpen(Object.keys(this.#house.rooms)[0]!, added.problems[0]!.message);
    this.#house = added.value;
    this.groups.push(group);
  }

  leaveOpen(room: string, text: string): void {
    if (!this.open.some((one) => one.room === room && one.text === text)) this.open.push({ room, text });
  }

  result(): BoxingPlan {
    return { boxes: this.boxes, groups: this.groups, provisions: this.provisions, open: this.open };
  }
}
