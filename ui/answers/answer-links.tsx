import { Link } from '@/ui/primitives/link';
import { ANSWERS, type AnswerName } from './answers';

/** The short answers as a list of links, with what each says. */
export function AnswerLinks({ from, but, short }: { from?: string | undefined; but?: AnswerName; short?: true }) {
  const names = (Object.keys(ANSWERS) as AnswerName[]).filter((name) => name !== but);
  return (
    <ul className={short ? 'grid' : 'grid gap-x-6 gap-y-1 sm:grid-cols-2'}>
      {names.map((name) => (
        <li key={name}>
          <Link
            href={`/answers/${name}${from === undefined ? '' : `?from=${from}`}`}
            className="block min-h-9 py-1 hover:bg-sunk"
          >
            <span className="text-water underline decoration-hairline underline-offset-4">{ANSWERS[name].asks}</span>
            {!short && <span className="block text-[0.88rem] text-quiet">{ANSWERS[name].says}</span>}
          </Link>
        </li>
      ))}
    </ul>
  );
}
