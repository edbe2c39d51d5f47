import { boxSchema } from '../house/schema-boxes';
import { deviceSchema } from '../house/schema-equipment';
import type { Edition, House } from '../house/schema';
import { wireHouse, type UnitWiring } from '../makeup/make-up';
import { netlistOf, type Netlist } from '../proof/netlist';
import { aHouse, type HouseBuilder } from './house-builder';

export interface Spec {
  /** Box by box: where its cable comes from (null: the panel), and its devices as `switch`, `luminaire`, … or with properties. */
  readonly boxes: Readonly<
    Record<string, readonly [from: string | null, ...devices: (string | Record<string, unknown>)[]]>
  >;
  /** Switches and what they control, by device id: the box and its number, S1-0. */
  readonly groups?: Readonly<Record<string, { switches: readonly string[]; controls: readonly string[] }>>;
  readonly edition?: Edition;
  readonly change?: (house: House) => void;
}

/** A house of one room whose one circuit runs as the table says, boxes 5 ft apart. */
export function wiringBuilder({ boxes, groups = {}, edition = '2023', change }: Spec): HouseBuilder {
  return aHouse(edition)
    .room('room', 'living', [0, 0, 1200, 1200])
    .panel('P', 'room', 20)
    .circuit('Q', 15, { panel: 'P' })
    .with((house) => {
      Object.entries(boxes).forEach(([id, [from, ...devices]], n) => {
        const parsed = devices.map((device, i) =>
          deviceSchema.parse({
            circuit: 'Q',
            ...(typeof device === 'string' ? { kind: device } : device),
            id: `${id}-${i}`,
          }),
        );
        house.boxes[id] = boxSchema.parse({
          id,
          room: 'room',
          tag: `R-${n + 1}`,
          at: { kind: 'ceiling', x: 60 + 60 * (n % 18), y: 60 + 60 * Math.floor(n / 18) },
          gangs: Math.max(1, devices.length),
          devices: Object.fromEntries(parsed.map((one) => [one.id, one])),
        });
        house.cables[`c-${id}`] = { id: `c-${id}`, circuit: 'Q', from, to: id };
      });
      for (const [id, { switches, controls }] of Object.entries(groups))
        house.switchGroups[id] = { id, name: `Group ${id}`, switches: [...switches], controls: [...controls] };
      change?.(house);
    });
}

export const wiringHouse = (spec: Spec): House => wiringBuilder(spec).build();

interface WiredTest {
  readonly house: House;
  readonly wiring: UnitWiring;
  readonly net: Netlist;
}

/** The same, wired. */
export function wired(spec: Spec): WiredTest {
  const house = wiringHouse(spec);
  const all = wireHouse(house);
  const wiring = all.units[0]!;
  return { house, wiring, net: netlistOf(wiring, all.boxes) };
}

/** A chain of places with switches, fed at the first, the lamp behind the last. */
export const chainOf = (places: number): Spec => ({
  boxes: {
    ...Object.fromEntries(
      Array.from({ length: places }, (_, i) => [`S${i + 1}`, [i === 0 ? null : `S${i}`, 'switch'] as const]),
    ),
    L: [`S${places}`, 'luminaire'],
  },
  groups: { a: { switches: Array.from({ length: places }, (_, i) => `S${i + 1}-0`), controls: ['L-0'] } },
});
