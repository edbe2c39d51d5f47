import { comparePanelPlaces, type House, type PanelPlace, type Problem } from '@winculum/core';
import { newId } from '../../new-id';
import { answerIn } from '../../work/long-work';

export type PlacesAnswer =
  | { readonly ok: true; readonly places: readonly PanelPlace[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

answerIn<House, PlacesAnswer>(self, (house, onProgress) => {
  const compared = comparePanelPlaces(house, newId, onProgress);
  return compared.ok ? { ok: true, places: compared.value } : compared;
});
