import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { soundChart } from '@/server/words/sounds';
import { ChartScreen } from '@/ui/sounds/chart-screen';

export const metadata: Metadata = { title: 'Sounds' };

export default guarded(async () => <ChartScreen chart={await soundChart()} />);
