'use client';

import { Copy } from 'lucide-react';
import { toast } from 'sonner';

/** A text to take along. */
export function Copyable({ text }: { text: string }) {
  return (
    <p className="flex items-center gap-2">
      <code className="rounded-sm bg-sunk px-2 py-1.5 break-all">{text}</code>
      <button
        type="button"
        className="button shrink-0 px-2"
        aria-label="Copy"
        title="Copy"
        onClick={() =>
          void navigator.clipboard.writeText(text).then(
            () => toast('Copied.'),
            () => toast('The browser does not allow it. Select the text and copy it.'),
          )
        }
      >
        <Copy size={16} aria-hidden />
      </button>
    </p>
  );
}
