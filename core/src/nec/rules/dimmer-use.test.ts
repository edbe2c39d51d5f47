import { testRule } from '../../test/rule-tester';
import { dimmerUse } from './dimmer-use';
import { dimmed } from '../../test/wiring-cases';

testRule(dimmerUse, {
  passes: [['a dimmed luminaire', dimmed('2023', ['dimmer']), 'The dimmer of Group a governs luminaires.']],
  fails: [
    [
      'a dimmed receptacle',
      dimmed('2014', ['dimmer'], 'receptacle'),
      'Group a has a dimmer and governs the receptacle R-2. Take a plain switch, or a control made for it.',
    ],
    ['a dimmed paddle fan', dimmed('2023', ['dimmer'], 'fan')],
  ],
  notApplicable: [['a toggle on a receptacle', dimmed('2023', ['toggle'], 'receptacle')]],
});
