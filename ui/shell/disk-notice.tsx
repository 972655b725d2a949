/** Above every page while the disk of the server is nearly full. */
export function DiskNotice({ freeBytes }: { freeBytes: number | undefined }) {
  if (freeBytes === undefined) return null;
  return (
    <p role="alert" className="no-print border-b border-hairline bg-amber-wash px-4 py-2 text-amber">
      Only {Math.floor(freeBytes / 1e6)} MB are free on the disk of the server. Make room before it is full: then
      nothing can be saved any more.
    </p>
  );
}
