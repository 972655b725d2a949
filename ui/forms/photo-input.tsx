'use client';

import compress from 'browser-image-compression';
import { Camera } from 'lucide-react';
import { useState } from 'react';

const SMALL = { maxWidthOrHeight: 1280, initialQuality: 0.8, fileType: 'image/jpeg' } as const;
const MOST_BYTES = 60e6;

/** Makes a photo small in the browser; a file that is none is refused in words. */
async function small(file: File): Promise<string> {
  if (file.size > MOST_BYTES) throw new Error('More than 60 MB. Take it with less resolution.');
  // Without its worker, which fetches the library from elsewhere.
  const picture = await compress(file, { ...SMALL, useWebWorker: false }).catch(() => {
    throw new Error(`“${file.name}” is no picture that this browser can read.`);
  });
  return compress.getDataUrlFromFile(picture);
}

/** A photo for the log. */
export function PhotoInput({
  photo,
  onPhoto,
}: {
  photo: string | undefined;
  onPhoto: (dataUrl: string | undefined) => void;
}) {
  const [problem, setProblem] = useState<string>();
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      onPhoto(await small(file));
      setProblem(undefined);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      <label className="button min-h-12 cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-water">
        <Camera size={18} aria-hidden /> {photo ? 'Another photo' : 'Photo'}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            void take(file);
          }}
        />
      </label>
      {photo && (
        <>
          <img src={photo} alt="As it will be kept" className="h-14 rounded-sm border border-hairline" />
          <button
            type="button"
            className="min-h-target text-quiet underline underline-offset-4"
            onClick={() => onPhoto(undefined)}
          >
            without
          </button>
        </>
      )}
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
