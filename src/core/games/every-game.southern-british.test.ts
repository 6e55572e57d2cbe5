import { judgeEveryGame } from '../testing/every-game';

judgeEveryGame('southern-british');
