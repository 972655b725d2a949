'use client';

import { type ReactNode, useEffect, useRef, useState } from 'react';

/** Draws what is in it once it is nearly on screen; the room that it takes is kept by the class. */
export function WhenSeen({ className, children }: { className: string; children: ReactNode }) {
  const [seen, see] = useState(false);
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!place.current) return;
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && see(true), { rootMargin: '50%' });
    observer.observe(place.current);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={place} className={className}>
      {seen && children}
    </div>
  );
}
