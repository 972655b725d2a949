'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** Shown in place of a page that could not be read. Comes back by itself. */
export function DatabaseDown() {
  const router = useRouter();
  useEffect(() => {
    const timer = setInterval(async () => {
      const answer = await fetch('/api/health').catch(() => undefined);
      if (answer?.ok) router.refresh();
    }, 2000);
    return () => clearInterval(timer);
  }, [router]);
  return (
    <div role="alert" data-not-kept className="mx-auto max-w-lg p-8">
      <h1>The database does not answer</h1>
      <p className="mt-2">
        Nothing that was shown as saved is lost, and what you typed since is kept in this browser. This page tries again
        every two seconds and comes back by itself.
      </p>
      <p className="mt-2 text-quiet">If it does not, look at the terminal in which Cool Dram was started.</p>
    </div>
  );
}
