import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { soundChart } from '@/server/words/sounds';
import { ChartScreen } from '@/ui/sounds/chart-screen';
import { deskSounds as say } from '../../text';

export const metadata: Metadata = { title: say.sounds };

export default guarded(async () => <ChartScreen chart={await soundChart()} />);
