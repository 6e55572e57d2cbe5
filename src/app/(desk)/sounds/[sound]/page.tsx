import type { Metadata } from 'next';
import { decoded } from '@/app/decoded';
import { guarded } from '@/app/guarded';
import { soundPage } from '@/server/words/sounds';
import { SoundScreen } from '@/ui/sounds/sound-screen';

interface Props {
  params: Promise<{ sound: string }>;
}

export const generateMetadata = async ({ params }: Props): Promise<Metadata> => ({
  title: `The sound /${decoded((await params).sound)}/`,
});

export default guarded(async ({ params }: Props) => (
  <SoundScreen page={await soundPage(decoded((await params).sound))} />
));
