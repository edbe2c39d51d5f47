import type { House } from '../house/schema';
import { basementHouse } from './basement-house';
import { garageDwelling } from './garage-dwelling';
import { openPlanHouse } from './open-plan-house';
import { basementFinish, kitchenRemodel } from './remodels';
import { ranchHouse } from './ranch-house';
import { smallHouse } from './small-house';

const WORDS: Readonly<Record<string, string>> = {
  living: 'Living room',
  dining: 'Dining room',
  family: 'Family room',
  rec: 'Recreation room',
  store: 'Storage',
  util: 'Utility room',
  stair0: 'Basement stair',
  hall: 'Hall',
  bath: 'Bath',
  yard: 'Yard',
  main: 'Living kitchen',
};

/** As an owner would call it: "bed2" is Bedroom 2. */
function nameOf(id: string): string {
  const [, word = id, n = ''] = /^([a-z]+?)(\d*)$/.exec(id) ?? [];
  const name = WORDS[id] ?? (word === 'bed' ? 'Bedroom' : `${word[0]!.toUpperCase()}${word.slice(1)}`);
  return WORDS[id] || n === '' ? name : `${name} ${n}`;
}

const named = (house: House, name: string): House => ({
  ...house,
  name,
  rooms: Object.fromEntries(Object.entries(house.rooms).map(([id, room]) => [id, { ...room, name: nameOf(id) }])),
});

/** One that is wired first, which takes a second: made when somebody asks for it. */
function lazily(file: string, make: () => House): { readonly file: string; readonly house: House } {
  let made: House | undefined;
  return {
    file,
    get house() {
      return (made ??= make());
    },
  };
}

/** Houses as somebody has drawn them, new ones bare and two with existing wiring, for tests, for new accounts and for anybody to open and throw away. */
export const SAMPLES: readonly { readonly file: string; readonly house: House }[] = [
  { file: 'ranch-with-garage', house: named(ranchHouse('2023'), 'Ranch with garage') },
  { file: 'open-plan-house', house: named(openPlanHouse('2023'), 'Open-plan house') },
  { file: 'house-with-basement', house: named(basementHouse('2023'), 'House with basement') },
  { file: 'dwelling-over-garage', house: named(garageDwelling('2023'), 'Dwelling over a garage') },
  { file: 'small-house', house: named(smallHouse('2023'), 'Small house on a trailer') },
  lazily('kitchen-remodel', () => kitchenRemodel(named(ranchHouse('2014'), 'Kitchen remodel'))),
  lazily('basement-finish', () => basementFinish(named(basementHouse('2014'), 'Finished basement'))),
];
