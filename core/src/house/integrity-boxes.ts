import { formatLength } from '../units/length';
import { itemAt, type Problem } from '../units/result';
import { checkOnWall } from './on-wall';
import { collect, rememberBy, rememberEach, type Find, type Report } from './remember';
import type { Box, House } from './schema';
import type { Device } from './schema-equipment';
import { memo } from '../cache/memo';

const describeBox = (box: Box): string => `Box ${box.tag}`;

/** Which boxes there are and what they hold: the same object until a box comes, goes or holds something else. */
interface Holdings {
  readonly devices: Readonly<Record<string, true>>;
  readonly problems: readonly Problem[];
}

const NOTHING: Holdings = { devices: {}, problems: [] };

/** Remembered by the keys and contents of the boxes, which moving them leaves alone. */
const lookAt = memo(
  (boxes: House['boxes']): Holdings => {
    const devices: Record<string, true> = {};
    const problems = collect((report) => findHoldings(boxes, devices, report));
    return { devices, problems };
  },
  (boxes) => {
    const all = Object.values(boxes);
    return [itemAt(all, 0).devices, ...Object.keys(boxes), ...all.map((box) => box.devices)];
  },
);

export const holdingsOf = memo((boxes: House['boxes']): Holdings =>
  Object.keys(boxes).length === 0 ? NOTHING : lookAt(boxes),
);

function findHoldings(boxes: House['boxes'], devices: Record<string, true>, report: Report): void {
  for (const box of Object.values(boxes))
    for (const [key, device] of Object.entries(box.devices)) {
      const path = `boxes.${box.id}.devices.${key}.id`;
      if (key !== device.id) report('key-differs', path, `The key "${key}" and the id "${device.id}" differ.`);
      if (Object.hasOwn(devices, device.id)) report('id-twice', path, `The device id "${device.id}" is in two boxes.`);
      devices[device.id] = true;
      checkYoke(box, device, report);
    }
}

/** A half names the other half of its duplex, in the same box, which names none; a GFCI has no tab to take off. */
function checkYoke(box: Box, device: Device, report: Report): void {
  if (device.kind !== 'receptacle') return;
  const path = `boxes.${box.id}.devices.${device.id}`;
  if (device.style === 'half' && device.gfci)
    report(
      'no-tab',
      `${path}.gfci`,
      `${describeBox(box)}: a GFCI receptacle has no tab to take off. Make it a duplex, or no GFCI.`,
    );
  if (device.style === 'half' && device.switched === 'half')
    report(
      'half-of-a-half',
      `${path}.switched`,
      `${describeBox(box)}: a half of a split duplex is switched wholly or not at all. Make it one of these.`,
    );
  if (device.yokeWith === undefined) return;
  const other = box.devices[device.yokeWith];
  const isHalf =
    device.style === 'half' &&
    other?.kind === 'receptacle' &&
    other.style === 'half' &&
    other.yokeWith === undefined &&
    !Object.values(box.devices).some(
      (one) => one.kind === 'receptacle' && one.id !== device.id && one.yokeWith === other.id,
    );
  if (!isHalf)
    report(
      'not-a-half',
      `${path}.yokeWith`,
      `${describeBox(box)}: "${device.yokeWith}" is no half of a duplex that waits for its other half in this box. Make both of style "half", and let one name the other.`,
    );
}

function checkPlace(house: House, box: Box, report: Report): void {
  const { at } = box;
  if (at.kind !== 'wall') return;
  const path = `boxes.${box.id}`;
  const spot = { room: box.room, wall: at.wall, fromIn: at.alongIn, toIn: at.alongIn };
  checkOnWall(house, spot, `${path}.at`, describeBox(box), report);
  const level = house.levels[house.rooms[box.room]?.level ?? ''];
  if (level && at.heightIn > level.ceilingIn)
    report(
      'above-ceiling',
      `${path}.at.heightIn`,
      `${describeBox(box)} at ${formatLength(at.heightIn)} is above the ceiling (${formatLength(level.ceilingIn)}). Type a lower height.`,
    );
}

function checkTags(house: House, report: Report): void {
  const tags = new Set<string>();
  for (const { id, tag } of Object.values(house.boxes)) {
    if (tags.has(tag))
      report('tag-twice', `boxes.${id}.tag`, `The tag ${tag} is on two boxes. Give one another number.`);
    tags.add(tag);
  }
}

/** What may be wrong with boxes: their places, their tags, and what they hold. */
export const findBadBoxes: readonly Find[] = [
  rememberEach(
    (house) => house.boxes,
    checkPlace,
    (house) => [house.rooms, house.levels],
  ),
  rememberBy(checkTags, (house) => [house.boxes]),
  (house) => holdingsOf(house.boxes).problems,
];
