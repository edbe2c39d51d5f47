import { testRule } from '../../test/rule-tester';
import { driverPlace } from './driver-place';
import { room } from '../../test/boxes-in-place-cases';

const run = (device: object) =>
  room('kitchen').wallBox('r', 'c0', 20, { kind: 'luminaire', style: 'strip', ...device });

testRule(driverPlace, {
  passes: [['in a cabinet', run({ driver: 'cabinet' }), 'The driver of the run at R1-1 lives in the cabinet.']],
  fails: [['behind the drywall', run({ driver: 'closed-in' }), 'The driver of the run at R1-1 would be closed in.']],
  cannotTell: [['nobody has said', run({}), 'Where the driver of the run at R1-1 lives is not said.']],
});
