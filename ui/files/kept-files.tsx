'use client';

import { FileText, Paperclip, X } from 'lucide-react';
import { useState } from 'react';
import type { KeptFile } from '@/core/plan/file-fields';
import { PhotoInput } from '@/ui/forms/photo-input';
import { pictureOf } from '@/ui/outbox/outbox';
import { usePlan } from '@/ui/plan/plan-provider';

/** Where a file of a line is read from. */
export const addressOfFile = (planId: string, { id }: KeptFile): string => `/api/plans/${planId}/files/${id}`;

/** Pictures and documents of one thing: seen, added, taken away. What the server refuses is said, and not added. */
export function KeptFiles({
  of,
  files,
  onFiles,
  documents = false,
}: {
  of: string;
  files: readonly KeptFile[];
  onFiles: (files: KeptFile[]) => void;
  /** Whether documents may be added besides pictures. */
  documents?: boolean;
}) {
  const { planId } = usePlan();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const add = async (body: Blob, file: Omit<KeptFile, 'id'>): Promise<void> => {
    setBusy(true);
    const kept = { id: crypto.randomUUID(), ...file };
    const answer = await fetch(addressOfFile(planId, kept), { method: 'PUT', body }).catch(() => undefined);
    const read = await answer?.json().catch(() => undefined);
    setBusy(false);
    if (answer?.ok) onFiles([...files, kept]);
    setProblem(
      answer?.ok
        ? undefined
        : (read?.error?.message ?? 'The server does not answer. The file was not kept; try again with a signal.'),
    );
  };
  const n = files.filter((f) => f.type === 'picture').length + 1;
  return (
    <div className="grid gap-2" aria-busy={busy}>
      {files.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {files.map((file) => (
            <li key={file.id} className="relative flex">
              <a
                href={addressOfFile(planId, file)}
                className="flex min-h-12 max-w-64 items-center gap-2 rounded-sm border border-hairline pr-9"
              >
                {file.type === 'picture' ? (
                  <img
                    src={addressOfFile(planId, file)}
                    alt={`${file.name} of ${of}`}
                    loading="lazy"
                    className="h-16 w-20 object-cover"
                  />
                ) : (
                  <>
                    <FileText size={18} className="ml-2 shrink-0" aria-hidden />
                    <span className="min-w-0 truncate">{file.name}</span>
                  </>
                )}
              </a>
              <button
                type="button"
                className="absolute top-1 right-1 grid size-7 place-items-center rounded-sm border border-hairline bg-card"
                aria-label={`Take ${file.name} away`}
                onClick={() => onFiles(files.filter((f) => f !== file))}
              >
                <X size={14} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="no-print flex flex-wrap items-center gap-2">
        <PhotoInput
          photo={undefined}
          onPhoto={(photo) => photo && void add(pictureOf(photo), { type: 'picture', name: `Picture ${n}` })}
        />
        {documents && (
          <label className="button min-h-12 cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-water">
            <Paperclip size={18} aria-hidden /> PDF
            <input
              type="file"
              accept="application/pdf"
              className="sr-only"
              onChange={(e) => {
                const file = e.target.files?.[0];
                e.target.value = '';
                if (file) void add(file, { type: 'pdf', name: file.name.slice(0, 120) || 'Document' });
              }}
            />
          </label>
        )}
      </div>
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
