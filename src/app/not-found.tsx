import { Link } from '@/ui/kit/link';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-2xl px-6 py-20">
      <h1 className="mb-4 text-4xl">There’s nothing at this address</h1>
      <p className="mb-6 text-xl">
        The address may be mistyped, or what was here has been removed. Nothing has been lost.
      </p>
      <Link className="action" href="/">
        Back to Today
      </Link>
    </main>
  );
}
