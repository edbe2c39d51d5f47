import { isShorter } from '../../geometry/intervals';
import type { Edition, Feature, House } from '../../house/schema';
import type { Load, LoadKind } from '../../house/schema-equipment';
import { distanceToFeature, featureOutline } from '../../plan/points';
import { disconnectsInSight } from '../requirements/disconnects';
import { roomHeaters } from '../requirements/thermostats';
import { setLoadsRemedy, type Remedy } from '../remedies';
import { defineRule, fromMemory, type EditionEntry } from '../rule';
import { itemAt, mustGet } from '../../units/result';

type Means = NonNullable<Load['disconnect']>;

/** A class of equipment with one disconnecting rule of its own. */
interface Class {
  readonly section: string | Readonly<Record<Edition, string>>;
  readonly needs: string;
  readonly serves: ReadonlySet<Means>;
  /** What one press answers for all of the class, the usual one first. */
  readonly usual: readonly [means: Means, label: string][];
}

const IN_SIGHT: [Means, string] = ['in-sight', 'All of them have a disconnect in sight'];
const LOCKABLE: [Means, string] = ['lockable-breaker', 'The breakers of all of them can be locked open'];

const COOLING: Class = {
  section: '440.14',
  needs: 'a disconnect in sight from it and readily accessible',
  serves: new Set(['in-sight', 'plug']),
  usual: [IN_SIGHT],
};
const HEAT: Class = {
  section: '424.19, 424.20',
  needs:
    'a disconnect in sight, a breaker that can be locked open, or a thermostat whose marked "off" opens all ungrounded conductors',
  serves: new Set(['in-sight', 'lockable-breaker', 'thermostat-off', 'unit-switch', 'plug']),
  usual: [LOCKABLE, IN_SIGHT, ['thermostat-off', 'All of their thermostats have a marked "off" that opens both hots']],
};
const APPLIANCE: Class = {
  section: '422.31',
  needs: 'a disconnect in sight, or a breaker that can be locked open',
  serves: new Set(['in-sight', 'lockable-breaker', 'plug']),
  usual: [LOCKABLE, IN_SIGHT],
};
/** 422.34: switches with a marked off serve as well; the other means that they need is, in a one-family dwelling, the service disconnect. */
const WITH_SWITCHES: Class = {
  section: '422.31, 422.34',
  needs:
    'a disconnect in sight, a breaker that can be locked open, or switches of its own whose marked "off" opens all ungrounded conductors',
  serves: new Set([...APPLIANCE.serves, 'unit-switch']),
  usual: APPLIANCE.usual,
};
/** The number moved in 2017. *From memory*, medium. */
const SPA: Class = {
  section: { '2014': '680.12', '2017': '680.13', '2020': '680.13', '2023': '680.13' },
  needs: 'a readily accessible disconnect in sight, 5 ft or more from the inside wall of the tub',
  serves: new Set(['in-sight']),
  usual: [['in-sight', 'In sight of each, 5 ft or more from the water']],
};
/** The same article, for what moves the water of a pool. */
const POOL: Class = {
  ...SPA,
  needs: 'a readily accessible disconnect in sight, 5 ft or more from the inside wall of the pool',
};
const MOTOR: Class = {
  section: '430.102',
  needs: 'a disconnect in sight of the motor, or one for its controller that can be locked open',
  serves: new Set(['in-sight', 'lockable-breaker', 'plug']),
  usual: [IN_SIGHT, LOCKABLE],
};

const BY_KIND: Readonly<Partial<Record<LoadKind, Class>>> = {
  'air-conditioner': COOLING,
  'heat-pump': COOLING,
  'mini-split': COOLING,
  'baseboard-heat': HEAT,
  'cove-heat': HEAT,
  'floor-heat': HEAT,
  'electric-furnace': HEAT,
  'bath-heater': HEAT,
  'water-heater': APPLIANCE,
  'heat-pump-water-heater': APPLIANCE,
  'tankless-water-heater': APPLIANCE,
  cooktop: WITH_SWITCHES,
  'induction-cooktop': WITH_SWITCHES,
  oven: WITH_SWITCHES,
  'double-oven': WITH_SWITCHES,
  range: WITH_SWITCHES,
  dryer: WITH_SWITCHES,
  dishwasher: WITH_SWITCHES,
  disposer: APPLIANCE,
  furnace: APPLIANCE,
  boiler: APPLIANCE,
  'steam-shower': WITH_SWITCHES,
  'sauna-heater': WITH_SWITCHES,
  'central-vacuum': WITH_SWITCHES,
  'hot-tub': SPA,
  'attic-fan': MOTOR,
  'well-pump': MOTOR,
  'pool-pump': POOL,
  'grinder-pump': MOTOR,
};

const sectionOf = ({ section }: Class, edition: Edition): string =>
  typeof section === 'string' ? section : section[edition];

interface Limits extends Record<string, number> {
  appliance: number;
  spaIn: number;
}
const entry = (basis = fromMemory('medium')): EditionEntry<Limits> => ({
  section: '422.31',
  // Volt-amperes up to which the branch circuit's breaker alone is enough, 422.31(A); from the water to a spa's disconnect, inches.
  limits: { appliance: 300, spaIn: 60 },
  basis,
});
const editions: Readonly<Record<Edition, EditionEntry<Limits>>> = {
  '2014': entry(),
  '2017': entry(),
  '2020': entry(),
  '2023': entry(),
};

/** From the disconnect of a spa to the nearest tub of its room, inches; undefined where none is drawn. */
function awayFromTub(house: House, load: Load, disconnect: Feature): number | undefined {
  const room = mustGet(house.rooms, mustGet(house.boxes, load.box).room);
  const at = featureOutline(mustGet(house.rooms, disconnect.room), disconnect);
  const tubs = Object.values(house.features).filter(({ kind, room: of }) => kind === 'hot-tub' && of === room.id);
  if (tubs.length === 0) return undefined;
  return Math.min(...tubs.flatMap((tub) => at.map((corner) => distanceToFeature(room, tub, corner))));
}

const ONE_POLE = 'a thermostat that opens one of its two hots';
/** Devices at 240 V that a one-pole thermostat governs. */
function onePoleControlled(house: House): ReadonlySet<string> {
  return new Set(
    roomHeaters(house).flatMap(({ load, thermostat }) =>
      load.volts === 240 && thermostat?.device.kind === 'switch' && thermostat.device.style === 'line-thermostat'
        ? [load.device]
        : [],
    ),
  );
}

const WORDS: Readonly<Record<Means, string>> = {
  plug: 'a plug',
  'in-sight': 'a disconnect in sight',
  'lockable-breaker': 'a breaker that can be locked open',
  'thermostat-off': 'a thermostat with a marked off',
  'unit-switch': 'switches of its own with a marked off',
  none: 'nothing but its breaker',
};

export const applianceDisconnect = defineRule({
  id: 'appliance-disconnect',
  meta: {
    summary: 'Hard-wired equipment can be cut off where somebody works on it',
    stage: 'circuits',
    severity: 'violation',
    ofItsDay: true,
    why: 'A person who opens a water heater or a condensing unit must be sure that no one turns it on again from the panel.',
    editions,
    messages: {
      wrong: ({ load, has, needs }: { load: string; has: string; needs: string }) =>
        `${load} has ${has}. It needs ${needs}.`,
      unsaid: ({ loads, needs }: { loads: string; needs: string }) =>
        `By what is this cut off: ${loads}? It needs ${needs}.`,
      close: ({ load, away, least }: { load: string; away: number; least: number }, show) =>
        `The disconnect of ${load} is ${show(away)} from the inside wall of the tub: ${show(least)} at least, unless a barrier that nobody reaches around stands between. Move it.`,
      drawn: ({ load, away }: { load: string; away: number }, show) =>
        `A disconnect is drawn in sight of ${load}, ${show(away)} from it.`,
      served: ({ load, has }: { load: string; has: string }) => `${load} is cut off by ${has}.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: (facts) => Object.values(facts.house.loads).some((load) => BY_KIND[load.kind] && !load.cord),
  check: (facts, limits, report) => {
    const open = new Map<Class, Load[]>();
    const wired = Object.values(facts.house.loads).filter((load) => BY_KIND[load.kind] && !load.cord);
    const onePole = onePoleControlled(facts.house);
    const inSight = disconnectsInSight(facts.house, wired);
    const verdicts = Object.values(facts.house.loads).flatMap((load) => {
      const its = BY_KIND[load.kind];
      // A plug that can be reached is enough for what has one: 422.33, 440.13.
      if (!its || load.cord || ((its === APPLIANCE || its === WITH_SWITCHES) && load.va <= limits.appliance)) return [];
      const drawn = inSight.get(load.id);
      if (drawn && (load.disconnect === undefined || load.disconnect === 'in-sight')) {
        const at = { box: load.box, feature: drawn.feature.id };
        const section = sectionOf(its, facts.edition);
        const water = its === SPA ? awayFromTub(facts.house, load, drawn.feature) : undefined;
        if (water !== undefined && isShorter(water, limits.spaIn))
          return [report.fail('close', { load: load.name, away: water, least: limits.spaIn }, at, { section })];
        if (its.serves.has('in-sight'))
          return [report.pass('drawn', { load: load.name, away: drawn.awayIn }, at, { section })];
      }
      if (load.disconnect === undefined) {
        open.set(its, [...(open.get(its) ?? []), load]);
        return [];
      }
      const where = { box: load.box };
      const has = WORDS[load.disconnect];
      // One pole leaves the other hot on the heater: its off is none (424.20(B)).
      if (load.disconnect === 'thermostat-off' && onePole.has(load.device))
        return [
          report.fail('wrong', { load: load.name, has: ONE_POLE, needs: its.needs }, where, { section: '424.20' }),
        ];
      const section = sectionOf(its, facts.edition);
      return [
        its.serves.has(load.disconnect)
          ? report.pass('served', { load: load.name, has }, where, { section })
          : report.fail('wrong', { load: load.name, has, needs: its.needs }, where, { section }),
      ];
    });
    const questions = [...open].map(([its, unsaid]) => {
      const loads = unsaid.toSorted((a, b) => (a.id < b.id ? -1 : 1));
      const ids = loads.map((load) => load.id);
      const remedies: Remedy[] = its.usual.map(([disconnect, label]) => setLoadsRemedy(ids, { disconnect }, label));
      const names = loads.map((load) => load.name).join(', ');
      const where = { box: itemAt(loads, 0).box };
      return report.cannotTell('unsaid', { loads: names, needs: its.needs }, where, {
        section: sectionOf(its, facts.edition),
        remedies,
      });
    });
    return [...verdicts, ...questions];
  },
});
