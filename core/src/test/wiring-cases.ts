import type { Edition, House } from '../house/schema';
import { chainOf, wiringBuilder, type Spec } from './wiring-house';

export const set = (change: (house: House) => void, edition: Edition = '2023', spec: Partial<Spec> = {}) =>
  wiringBuilder({ ...chainOf(1), edition, change, ...spec });

/** Power at the light, then two switches one behind the other, that see the whole room or not. */
export const atLight = (edition: Edition, seesAll: boolean, pulled?: '/2' | '/3') =>
  wiringBuilder({
    boxes: { L: [null, 'luminaire'], S1: ['L', 'switch'], S2: ['S1', 'switch'] },
    groups: { a: { switches: ['S1-0', 'S2-0'], controls: ['L-0'] } },
    edition,
    change: (house) => {
      if (seesAll) house.switchGroups['a']!.seesAll = true;
      if (pulled) house.cables['c-S1']!.kind = pulled;
    },
  });

export const dimmed = (
  edition: Edition,
  styles: readonly string[],
  device: 'luminaire' | 'receptacle' | 'fan' = 'luminaire',
) =>
  wiringBuilder({
    boxes: {
      S1: [null, { kind: 'switch', style: styles[0] }],
      L: ['S1', device],
      ...(styles[1] ? { S2: ['L', { kind: 'switch', style: styles[1] }] as const } : {}),
    },
    groups: { a: { switches: styles.map((_, i) => `S${i + 1}-0`), controls: ['L-0'] } },
    edition,
  });
