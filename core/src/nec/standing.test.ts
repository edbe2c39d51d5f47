import { describe, expect, it } from 'vitest';
import type { House } from '../house/schema';
import { byTheTool } from '../test/by-the-tool';
import { aHouse, type HouseBuilder } from '../test/house-builder';
import { ranchHouse } from '../test/ranch-house';
import { checkHouse, ruleNamed } from './check-house';

/** Marks the boxes of some rooms, or all, as there before. */
const existing =
  (...rooms: readonly string[]) =>
  (house: House): void => {
    for (const box of Object.values(house.boxes))
      if (rooms.length === 0 || rooms.includes(box.room)) box.state = 'existing';
  };
const den = (): HouseBuilder => aHouse().room('r', 'den', [0, 0, 144, 120]);
const plain = () => den().receptacle('r', 'c0', 20, { tr: false });
const baths = () =>
  aHouse()
    .room('one', 'bathroom', [0, 0, 96, 60])
    .circuit('C', 15)
    .receptacle('one', 'c0', 20, { circuit: 'C' })
    .ceiling('one', 'luminaire', 'C');

const panelIn = (kind: 'closet' | 'utility') =>
  aHouse()
    .room('kit', 'kitchen', [0, 0, 144, 120])
    .room('r', kind, [150, 0, 144, 120])
    .feature('r', 'panel', ['c0', 60, 16, 4], { id: 'p' })
    .panel('Main', 'r', 40, 'p');
const stays = ({ panels }: House): void => {
  for (const panel of Object.values(panels)) panel.existing = true;
};
const stayed = ({ rooms }: House): void => void (rooms['r']!.closed = true);
const bare = ({ supply }: House): void => void (supply.electrodes = []);
const OLD =
  'It stands from before: the code of its day holds for it until it is changed or replaced, as long as it is safe.';

describe('what stands from before', () => {
  it.each<[what: string, rule: string, house: HouseBuilder, kind: 'pass' | 'fail' | 'cannot-tell']>([
    ['a plain receptacle that is new', 'tamper-resistant', plain(), 'fail'],
    ['one that exists', 'tamper-resistant', plain().with(existing()), 'pass'],
    [
      'one that is replaced in its old box',
      'tamper-resistant',
      den().receptacle('r', 'c0', 20, { tr: false, replaced: true }).with(existing()),
      'fail',
    ],
    [
      'one whose old box is moved',
      'tamper-resistant',
      plain().with(({ boxes }) => void (Object.values(boxes)[0]!.state = 'moved')),
      'fail',
    ],
    ['an old den with one receptacle', 'wall-receptacle-spacing', plain().with(existing()), 'pass'],
    [
      'an old den with one receptacle that got a new one',
      'wall-receptacle-spacing',
      den().receptacle('r', 'c0', 20).with(existing()).receptacle('r', 'c0', 60),
      'cannot-tell',
    ],
    ['a new den with one receptacle', 'wall-receptacle-spacing', den().receptacle('r', 'c0', 20), 'fail'],
    ['an old bath on 15 A with its light', 'bathroom-circuit', baths().with(existing()), 'pass'],
    [
      'the same circuit with one new light',
      'bathroom-circuit',
      baths().with(existing()).ceiling('one', 'luminaire', 'C'),
      'fail',
    ],
    ['a den that stays as it is, of which nothing is drawn', 'wall-receptacle-spacing', den().with(stayed), 'pass'],
    [
      'the same with a new receptacle',
      'wall-receptacle-spacing',
      den().receptacle('r', 'c0', 60).with(stayed),
      'cannot-tell',
    ],
    ['a new panel in a clothes closet', 'panel-place', panelIn('closet'), 'fail'],
    // The codes before wanted the same: seen to be wrong, it is asked about, not waved through.
    ['one that was there before', 'panel-place', panelIn('closet').with(stays), 'cannot-tell'],
    [
      'an old service seen to have no electrode',
      'grounding-electrodes',
      panelIn('utility').with(stays).with(bare),
      'cannot-tell',
    ],
    [
      'an old service of whose electrodes nothing is said',
      'grounding-electrodes',
      panelIn('utility').with(stays),
      'pass',
    ],
    ['surge protection of a service that stays', 'surge-protection', panelIn('utility').with(stays), 'pass'],
    ['surge protection of a new service', 'surge-protection', panelIn('utility'), 'cannot-tell'],
    // Wrong under any edition: that it is old does not make it right.
    [
      'an old circuit of No. 14 on 20 A',
      'conductor-size',
      den().circuit('A', 20, { awg: '14' }).receptacle('r', 'c0', 20, { circuit: 'A' }).with(existing()),
      'fail',
    ],
  ])('%s: %s', (_, rule, builder, kind) => {
    const { findings, passes } = checkHouse(builder.build(), { rules: [ruleNamed(rule)] });
    const gravest = ['fail', 'cannot-tell'].find((one) => findings.some((found) => found.kind === one)) ?? 'pass';
    expect(gravest).toBe(kind);
    if (kind === 'pass') expect(passes.map((one) => one.message).join()).toContain(OLD);
    if (kind === 'cannot-tell' && rule === 'wall-receptacle-spacing')
      expect(findings[0]!.message).toContain('the authority says');
  });

  it('a house of 2014 with receptacles as they were sold then, untouched in 2023: no violation', () => {
    const lived = structuredClone(byTheTool(ranchHouse('2014')));
    existing()(lived);
    lived.job.edition = '2023';
    for (const box of Object.values(lived.boxes))
      for (const one of Object.values(box.devices))
        if (one.kind === 'receptacle') Object.assign(one, { tr: false, wr: false });
    const { findings } = checkHouse(lived);
    expect(
      findings.filter((one) => one.kind === 'fail' && one.severity === 'violation').map((one) => one.message),
    ).toEqual([]);
  });
});
