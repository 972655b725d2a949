'use client';

import { sayText } from '@/core/quantity/say-text';
import { useUnits } from './units';

/** A text with its figures in the reader’s units. */
export function InUnits({ text }: { text: string }) {
  return sayText(text, useUnits().say);
}
