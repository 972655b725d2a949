'use client';

import { useEffect } from 'react';
import { speakPlainly } from '@/core/plan/plain-messages';

speakPlainly();

/** Tells the style sheet that the page acts on what is clicked: until then a click would be lost, and is not taken. */
export function Loaded() {
  useEffect(() => document.documentElement.removeAttribute('data-loading'), []);
  return null;
}
