import { useUnread } from './unread';

/** Above an answer: that it is of what the fields held before, as long as one of them holds no value. */
export function OfBefore() {
  const unread = useUnread();
  if (unread.length === 0) return null;
  return (
    <p role="alert" className="rounded-md bg-amber-wash px-3 py-2 text-amber">
      ▲ Out of date: {unread.map((u) => `“${u.label}”`).join(', ')} {unread.length === 1 ? 'is' : 'are'} not read. This
      answer is of what stood there before.
    </p>
  );
}
