import { Link } from '@/ui/primitives/link';
import { Frame } from '@/ui/shell/frame';

export default function NotFound() {
  return (
    <Frame>
      <div className="mx-auto max-w-lg p-8">
        <h1>There is nothing at this address</h1>
        <p className="mt-2">The line may have been on another machine, or the address was cut short.</p>
        <Link className="button mt-4" href="/">
          To the start page
        </Link>
      </div>
    </Frame>
  );
}
