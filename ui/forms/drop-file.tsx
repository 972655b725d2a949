'use client';

import { FileUp } from 'lucide-react';
import { type DragEvent, type ReactNode, useState } from 'react';

/** A place for a file: dropped, or chosen. */
export function DropFile({
  name,
  label,
  accept,
  onFile,
  children,
}: {
  /** What the part is for, for whoever cannot see it. */
  name: string;
  label: string;
  accept: string;
  onFile: (file: File) => void;
  children?: ReactNode;
}) {
  const [over, setOver] = useState(false);
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (file) onFile(file);
  };
  return (
    <section
      aria-label={name}
      className={`grid justify-items-start gap-2 rounded-md border border-dashed px-4 py-4 ${over ? 'border-water bg-water-wash' : 'border-edge'}`}
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <label className="button cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-water">
        <FileUp size={16} aria-hidden /> {label}
        <input
          type="file"
          accept={accept}
          className="sr-only"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            if (file) onFile(file);
          }}
        />
      </label>
      {children}
    </section>
  );
}
