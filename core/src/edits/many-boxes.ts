import { edit, type Edited } from '../house/edit';
import type { Box, House } from '../house/schema';
import type { Device, DeviceKind } from '../house/schema-equipment';
import type { Result } from '../units/result';
import { wordFor } from '../units/count';

/** What several things have in common; undefined where they differ or are none. */
export function commonOf<T>(values: readonly T[]): T | undefined {
  const [first] = values;
  return values.every((one) => one === first) ? first : undefined;
}

/** The devices of a kind in some boxes. */
export const devicesIn = <K extends DeviceKind>(
  boxes: readonly Box[],
  kind: K,
): readonly Extract<Device, { kind: K }>[] =>
  boxes.flatMap((box) =>
    Object.values(box.devices).filter((one): one is Extract<Device, { kind: K }> => one.kind === kind),
  );

/** Height of a box's center above the floor, inches; undefined in a ceiling or floor. */
export const ownHeightIn = ({ at }: Box): number | undefined => ('heightIn' in at ? at.heightIn : undefined);

/** Sets boxes on walls and features to one height; those in ceilings and floors stay. */
export const setHeights = (house: House, ids: readonly string[], heightIn: number): Result<Edited> =>
  edit(house, `Height of ${ids.length} ${wordFor(ids.length, 'box', 'boxes')}`, (draft) => {
    for (const id of ids) {
      const box = draft.boxes[id];
      if (box && 'heightIn' in box.at) box.at.heightIn = heightIn;
    }
  });
