'use client';

import dynamic from 'next/dynamic';
import { useSignedIn } from '@/ui/people/signed-in';

const DevicePerson = dynamic(() => import('./device-person').then((m) => m.DevicePerson));

/** On a shared device: who is at work on it. */
export const DeviceChip = () => (useSignedIn()?.via === 'device' ? <DevicePerson /> : null);
