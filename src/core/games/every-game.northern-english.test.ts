import { judgeEveryGame } from '../testing/every-game';

judgeEveryGame('northern-english');
