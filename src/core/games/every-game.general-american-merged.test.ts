import { judgeEveryGame } from '../testing/every-game';

judgeEveryGame('general-american-merged');
