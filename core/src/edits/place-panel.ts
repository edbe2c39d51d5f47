import { joinEdits, type Edited } from '../house/edit';
import type { Feature, House } from '../house/schema';
import { succeed, type Result } from '../units/result';
import { addEntity, type NewId } from './verbs';

/** Usual first panel of a house: *common practice*. */
const [SPACES, MAIN_A] = [40, 200];

/** Sets a feature down; one that is drawn as a panel becomes a panel with spaces and a main at once. */
export function addFeature(house: House, feature: Feature, newId: NewId): Result<Edited> {
  const placed = addEntity(house, 'features', feature);
  if (!placed.ok || feature.kind !== 'panel') return placed;
  const n = Object.keys(house.panels).length;
  const made = addEntity(placed.value.house, 'panels', {
    id: newId('panel'),
    name: n === 0 ? 'Main panel' : `Panel ${n + 1}`,
    room: feature.room,
    feature: feature.id,
    spaces: SPACES,
    mainA: MAIN_A,
  });
  if (!made.ok) return made;
  return succeed({
    house: made.value.house,
    edit: joinEdits('Set down a panel', [placed.value.edit, made.value.edit]),
  });
}
