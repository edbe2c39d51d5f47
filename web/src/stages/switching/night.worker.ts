import { walkAtNight, type House, type NightWalks } from '@winculum/core';
import { answerIn } from '../../work/long-work';

answerIn<House, NightWalks>(self, (house) => walkAtNight(house));
