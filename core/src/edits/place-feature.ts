import { joinEdits, type Edited } from '../house/edit';
import type { Feature, House } from '../house/schema';
import { connectAppliances } from './connect-appliances';
import { loadOf } from '../loads/hookups';
import { succeed, type Result } from '../units/result';
import { addEntity } from './verbs';
import type { NewId } from '../house/new-box';

/** Usual first panel of a house: *common practice*. */
const [SPACES, MAIN_A] = [40, 200];

/**
 * Sets a feature down. One that is drawn as a panel becomes a panel with spaces and a main at once; an appliance comes with its box
 * and its typical load, unless the shop standard leaves it bare.
 */
export function addFeature(house: House, feature: Feature, newId: NewId): Result<Edited> {
  const placed = addEntity(house, 'features', feature);
  if (!placed.ok) return placed;
  const more =
    feature.kind === 'panel'
      ? addPanel(placed.value.house, feature, newId)
      : connect(placed.value.house, feature, newId);
  // An appliance that finds no place for its box is drawn all the same, and listed as not connected.
  if (!more?.ok) return feature.kind === 'panel' && more ? more : placed;
  const label = feature.kind === 'panel' ? 'Set down a panel' : placed.value.edit.label;
  return succeed({ house: more.value.house, edit: joinEdits(label, [placed.value.edit, more.value.edit]) });
}

function addPanel(house: House, feature: Feature, newId: NewId): Result<Edited> {
  const n = Object.keys(house.panels).length;
  return addEntity(house, 'panels', {
    id: newId('panel'),
    name: n === 0 ? 'Main panel' : `Panel ${n + 1}`,
    room: feature.room,
    feature: feature.id,
    spaces: SPACES,
    mainA: MAIN_A,
  });
}

function connect(house: House, feature: Feature, newId: NewId): Result<Edited> | undefined {
  if (house.standards.appliances === 'bare' || !loadOf(feature)) return undefined;
  return connectAppliances(house, newId, new Set([feature.id]));
}
