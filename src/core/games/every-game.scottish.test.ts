import { judgeEveryGame } from '../testing/every-game';

judgeEveryGame('scottish');
