import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { soundPage } from '@/server/words/sounds';
import { SoundScreen } from '@/ui/sounds/sound-screen';
import { deskSoundsSound as say } from '../../../text';

interface Props {
  params: Promise<{ sound: string }>;
}

export const generateMetadata = async ({ params }: Props): Promise<Metadata> => ({
  title: say.theSound(decodeURIComponent((await params).sound)),
});

export default guarded(async ({ params }: Props) => (
  <SoundScreen page={await soundPage(decodeURIComponent((await params).sound))} />
));
