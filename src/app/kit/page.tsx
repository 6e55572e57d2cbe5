import { notFound } from 'next/navigation';
import { KitPage } from '@/ui/kit/page/kit-page';

/** Every part of the kit in every state; only development serves it. */
export default function Kit() {
  if (process.env.NODE_ENV === 'production') notFound();
  return <KitPage />;
}
