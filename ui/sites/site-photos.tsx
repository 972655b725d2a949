'use client';

import { Trash2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import { PhotoInput } from '@/ui/forms/photo-input';
import { send } from '@/ui/forms/send';
import { pictureOf } from '@/ui/outbox/outbox';
import type { SitePage } from './site-types';

/** Pictures of a site: the gate, where the key hangs, the compressor room. */
export function SitePhotos({ site }: { site: SitePage }) {
  const router = useRouter();
  const place = (id: string): string => `/api/sites/${site.id}/photos/${id}`;
  const add = async (photo: string | undefined): Promise<void> => {
    if (!photo) return;
    const answer = await fetch(place(crypto.randomUUID()), {
      method: 'PUT',
      headers: { 'content-type': 'image/jpeg' },
      body: pictureOf(photo),
    }).catch(() => undefined);
    const body = await answer?.json().catch(() => undefined);
    if (!answer?.ok) toast(body?.error?.message ?? 'The server does not answer. The photo was not kept; try again.');
    router.refresh();
  };
  const remove = async (id: string): Promise<void> => {
    if (!window.confirm('Remove this photo for good?')) return;
    const answer = await send('DELETE', place(id));
    if ('refused' in answer) toast(answer.refused.message);
    router.refresh();
  };
  if (site.photos.length === 0 && !site.logs) return null;
  return (
    <section aria-label="Photos" className="grid gap-2">
      <h2>Photos</h2>
      {site.photos.length > 0 && (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] gap-2">
          {site.photos.map((id, i) => (
            <li key={id} className="relative">
              <a href={place(id)}>
                <img
                  src={place(id)}
                  alt={`Of the site, ${i + 1} of ${site.photos.length}`}
                  loading="lazy"
                  className="aspect-4/3 w-full rounded-sm border border-hairline object-cover"
                />
              </a>
              {site.isOwn && (
                <button
                  type="button"
                  className="button absolute top-1 right-1 px-2"
                  aria-label={`Remove photo ${i + 1}`}
                  onClick={() => void remove(id)}
                >
                  <Trash2 size={16} aria-hidden />
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      {site.logs && <PhotoInput photo={undefined} onPhoto={(photo) => void add(photo)} />}
    </section>
  );
}
