import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A page that has nothing to show but a sentence and a way on. */
export function Message({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="grid h-full place-items-center p-8">
      <div className="max-w-md text-center">
        <h1 className="mb-2 font-display text-[30px]">{title}</h1>
        <p className="mb-5 text-dust">{children}</p>
        <Link
          to="/"
          className="inline-flex h-9 items-center rounded-lg bg-brass px-4 font-medium text-on-brass"
        >
          To the shelf
        </Link>
      </div>
    </main>
  );
}
