import type { Result } from '../units/result';

/** What a verb made. @throws where it was refused, with the reason. */
export function must<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
}
