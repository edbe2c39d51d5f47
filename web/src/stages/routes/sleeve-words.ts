import { SLEEVE_CONTENTS, type Sleeve, type SleeveContent } from '@winculum/core';

/** What is in a sleeve, in words. */
const LOW: Readonly<Record<string, string>> = {
  data: 'data cable',
  coax: 'coax',
  fiber: 'fiber',
  speaker: 'speaker cable',
  thermostat: 'thermostat cable',
  doorbell: 'doorbell cable',
  alarm: 'alarm cable',
};
function wordOf(what: SleeveContent): string {
  if (what.startsWith('nm ')) return `${what.slice(3)} nonmetallic cable`;
  if (!what.startsWith('wire ')) return LOW[what]!;
  const size = what.slice(5);
  return `${size.includes('kcmil') ? size : `No. ${size}`} THWN conductor`;
}
export const CONTENT_NAMES = Object.fromEntries(SLEEVE_CONTENTS.map((one) => [one, wordOf(one)])) as Readonly<
  Record<SleeveContent, string>
>;

export const PLACE_WORDS: Readonly<Record<Sleeve['place'], string>> = {
  framing: 'in walls and floors',
  slab: 'in a slab',
  ground: 'in the ground',
  outdoors: 'outdoors',
};
