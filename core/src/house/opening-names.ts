import type { OpeningKind } from './schema-fixed';

/** What openings are called in sentences. */
export const OPENING_NAMES: Readonly<Record<OpeningKind, string>> = {
  door: 'door',
  cased: 'cased opening',
  slider: 'sliding door',
  window: 'window',
  'fixed-glass': 'fixed glass',
  vehicle: 'vehicle door',
  pocket: 'pocket door',
  barn: 'barn door',
};
