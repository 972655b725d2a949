'use client';

import QRCode from 'qrcode';
import { useEffect, useState } from 'react';

const WIDTH_PX = 176;

/** An address as a picture for the camera of a phone; space is kept for it. */
export function QrCode({ of, alt, className }: { of: string; alt: string; className: string }) {
  const [picture, setPicture] = useState<string>();
  useEffect(() => {
    let gone = false;
    if (of !== '') void QRCode.toDataURL(of, { margin: 1, width: WIDTH_PX }).then((data) => !gone && setPicture(data));
    return () => {
      gone = true;
    };
  }, [of]);
  return picture ? <img src={picture} alt={alt} className={className} /> : <span className={`block ${className}`} />;
}

/**
 * The address of this server for other devices.
 * @param known as the server knows it; else as this browser has it, once the page lives
 */
export function useAddress(known: string | undefined): string {
  const [address, setAddress] = useState(known ?? '');
  useEffect(() => setAddress(known ?? location.origin), [known]);
  return address;
}
