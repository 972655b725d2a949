/** The dry-to-wet colours of the theme, from the page’s own tokens. */
export function rampOf(element: Element): [number, number, number][] {
  const style = getComputedStyle(element);
  return [0, 1, 2, 3, 4].map((i) => {
    const hex = style.getPropertyValue(`--wet-${i}`).trim().slice(1);
    return [0, 2, 4].map((k) => Number.parseInt(hex.slice(k, k + 2), 16)) as [number, number, number];
  });
}

/** A colour of a ramp, 0…1 from its first to its last. */
export function rampAt(ramp: readonly (readonly [number, number, number])[], share: number): [number, number, number] {
  const along = Math.min(1, Math.max(0, share)) * (ramp.length - 1);
  const i = Math.min(ramp.length - 2, Math.floor(along));
  const [a, b] = [ramp[i], ramp[i + 1]] as [readonly number[], readonly number[]];
  return [0, 1, 2].map((k) => Math.round((a[k] as number) + ((b[k] as number) - (a[k] as number)) * (along - i))) as [
    number,
    number,
    number,
  ];
}
