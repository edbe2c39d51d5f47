import { readFileSync } from 'node:fs';
import { readHouseFile } from '../formats/house-file';
import type { House } from '../house/schema';
import type { Result } from '../units/result';

/** What a verb made. @throws where it was refused, with the reason. */
export function must<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
}

/** The demo house as it stands in the repository. */
export const demo: House = must(
  readHouseFile(readFileSync(new URL('../../../demo/studio-house.json', import.meta.url), 'utf8')),
);
