/** Something of a site in a list: its name, what is said of it, and the button that ends it. */
export function Listed({ name, says, ends, onEnd }: { name: string; says: string; ends: string; onEnd: () => void }) {
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline py-2">
      <span className="min-w-0 flex-1 basis-48">
        <strong className="block truncate">{name}</strong>
        <span className="block text-quiet" suppressHydrationWarning>
          {says}
        </span>
      </span>
      <button type="button" className="button" onClick={onEnd}>
        {ends}
      </button>
    </li>
  );
}
