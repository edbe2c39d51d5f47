import { readFileSync } from 'node:fs';
import { readHouseFile } from '../formats/house-file';
import type { House } from '../house/schema';
import { must } from './must';

/** The demo house as it stands in the repository. */
export const demo: House = must(
  readHouseFile(readFileSync(new URL('../../../demo/studio-house.json', import.meta.url), 'utf8')),
);
