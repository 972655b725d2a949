'use client';

/** Of what holds every page: plain, for nothing else can be relied on. */
export default function GlobalError({ reset }: { reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <h1>This page cannot be shown</h1>
        <p>Something went wrong in the program. Nothing was changed or lost.</p>
        <button type="button" onClick={reset}>
          Try again
        </button>
      </body>
    </html>
  );
}
