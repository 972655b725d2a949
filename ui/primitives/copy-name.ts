/** “Loft line” becomes “Loft line, plan B”, and that “… plan C”. */
export function copyName(name: string): string {
  const letter = /, plan ([B-Y])$/.exec(name)?.[1];
  const bare = name.replace(/, plan [B-Z]$/, '').slice(0, 70);
  return `${bare}, plan ${letter ? String.fromCharCode(letter.charCodeAt(0) + 1) : 'B'}`;
}
