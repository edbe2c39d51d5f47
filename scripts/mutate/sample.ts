/** So many of a list, by chance from a seed: the same every time. The rest of a list that is shorter is all of it. */
export function sampleOf<T>(list: readonly T[], count: number, seed: number): T[] {
  const left = [...list];
  let state = seed >>> 0 || 1;
  // Xorshift of 32 bits: good enough to pick by, and the same on every machine.
  const next = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
  const sample: T[] = [];
  while (sample.length < count && left.length > 0) sample.push(...left.splice(Math.floor(next() * left.length), 1));
  return sample;
}
