import { notFound as say } from './text';
import { Link } from '@/ui/kit/link';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-2xl px-6 py-20">
      <h1 className="mb-4 text-4xl">{say.nothingAddress}</h1>
      <p className="mb-6 text-xl">{say.maySlipBeen}</p>
      <Link className="action" href="/">
        {say.backToToday}
      </Link>
    </main>
  );
}
