import { isShorter } from '../../geometry/intervals';
import { distance, nearestOnSegment } from '../../geometry/geometry';
import type { FeatureKind } from '../../house/schema';
import { boxPoint, distanceToFeature, placeOf } from '../../plan/points';
import { pointOnWall } from '../../plan/wall-loop';
import { viewRoom, wallOf } from '../../plan/room-view';
import { setDevicesRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory, type Verdict } from '../rule';
import { mustGet } from '../../units/result';

/** Permanently installed cooking appliances. */
const COOKING: ReadonlySet<FeatureKind> = new Set<FeatureKind>(['range', 'cooktop']);

export const alarmClearance = defineRule({
  id: 'alarm-clearance',
  meta: {
    summary: 'Smoke alarms 3 ft from bathroom doors and away from cooking',
    stage: 'boxes',
    severity: 'caution',
    why: 'Steam and frying set alarms off, and an alarm that cries wolf gets its battery taken out. How near to cooking one may stand goes by its sensor and by the IRC in force, not by the NEC: ionization 20 ft, or 10 ft with a silencing button; photoelectric, and since the IRC of 2021 the kind that resists cooking nuisance, 6 ft; unless a required place would be left without one.',
    editions: everyEdition({
      section: 'IRC R314.3, NFPA 72',
      limits: { bathDoorIn: 36, ionizationIn: 240, silencedIn: 120, photoelectricIn: 72 },
      basis: fromMemory('high'),
    }),
    messages: {
      bath: ({ tag, nearest }: { tag: string; nearest: number }, show) =>
        `Alarm ${tag} is ${show(nearest)} from a bathroom door.`,
      cooking: ({ tag, nearest, sensor }: { tag: string; nearest: number; sensor: string }, show) =>
        `Alarm ${tag} (${sensor}) is ${show(nearest)} from a range or cooktop.`,
      sensor: ({ tags }: { tags: string }) =>
        `What do the smoke alarms ${tags} sense by? Nearer than 20 ft to cooking a photoelectric one is right and a plain ionization one is not.`,
      clear: ({ tag }: { tag: string }) => `Alarm ${tag} is clear of bathroom doors and cooking.`,
    },
  },
  scope: 'house',
  reads: 'alarms',
  appliesTo: (facts) => facts.outlets.alarms.some((one) => one.device.kind === 'alarm'),
  check: (facts, limits, report) => {
    const cookers = facts.views.flatMap(({ room, level, features }) =>
      features.filter((one) => COOKING.has(one.kind)).map((feature) => ({ room, level, feature })),
    );
    const leastOf = {
      ionization: limits.ionizationIn,
      'ionization-silenced': limits.silencedIn,
      photoelectric: limits.photoelectricIn,
      'nuisance-resistant': limits.photoelectricIn,
    };
    const unknown: { tag: string; device: string }[] = [];
    const verdicts = facts.outlets.alarms.flatMap((outlet): Verdict[] => {
      const { device, box } = outlet;
      if (device.kind !== 'alarm' || device.senses === 'co') return [];
      const view = viewRoom(facts.house, box.room);
      const at = placeOf(view, box);
      const where = { room: box.room, box: box.id };
      const baths = view.ways.flatMap(({ wall: id, alongIn, widthIn, behind }) => {
        if (behind === undefined || mustGet(facts.house.rooms, behind).kind !== 'bathroom') return [];
        const wall = wallOf(view, id);
        const ends = [pointOnWall(wall, alongIn), pointOnWall(wall, alongIn + widthIn)] as const;
        return [distance(at, nearestOnSegment(at, ...ends))];
      });
      const bath = Math.min(Infinity, ...baths);
      const cooking = Math.min(
        Infinity,
        ...cookers
          .filter((one) => one.level === view.level)
          .map(({ room, feature }) => distanceToFeature(room, feature, boxPoint(facts.house, box))),
      );
      const found: Verdict[] = [];
      if (isShorter(bath, limits.bathDoorIn))
        found.push(
          report.fail('bath', { tag: box.tag, nearest: bath }, where, {
            measured: (show) => show(bath),
            required: (show) => `${show(limits.bathDoorIn)} or more`,
          }),
        );
      const least = device.sensor ? leastOf[device.sensor] : limits.photoelectricIn;
      const sensor = device.sensor?.replace('-', ', ') ?? 'of any kind';
      if (isShorter(cooking, least))
        found.push(
          report.fail('cooking', { tag: box.tag, nearest: cooking, sensor }, where, {
            measured: (show) => show(cooking),
            required: (show) => `${show(least)} or more, unless a required place would be left without an alarm`,
          }),
        );
      else if (!device.sensor && isShorter(cooking, limits.ionizationIn)) {
        unknown.push({ tag: box.tag, device: device.id });
        if (found.length === 0) return [];
      }
      return found.length > 0 ? found : [report.pass('clear', { tag: box.tag }, where)];
    });
    if (unknown.length === 0) return verdicts;
    const devices = unknown.map((one) => one.device);
    const remedies = [setDevicesRemedy(devices, { sensor: 'photoelectric' }, 'All of them are photoelectric')];
    const tags = unknown.map((one) => one.tag).join(', ');
    return [...verdicts, report.cannotTell('sensor', { tags }, {}, { remedies })];
  },
});
