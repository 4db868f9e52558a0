import { Link } from '@/ui';

export default function NotFound() {
  return (
    <div className="px-6 py-8">
      <h1 className="text-2xl">This is not on the bench</h1>
      <p className="mt-2">
        Perhaps it was put away or the address is mistyped.{' '}
        <Link href="/" className="underline">
          Today
        </Link>{' '}
        shows what is here.
      </p>
    </div>
  );
}
