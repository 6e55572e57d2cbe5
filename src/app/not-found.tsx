import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-2xl px-6 py-20">
      <h1 className="mb-4 text-4xl">There is nothing at this address</h1>
      <p className="mb-6 text-xl">
        It may have a slip in it, or what was here has been taken away. Nothing is lost by coming here.
      </p>
      <Link className="action" href="/">
        Back to Today
      </Link>
    </main>
  );
}
