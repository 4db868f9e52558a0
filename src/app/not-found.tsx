import { Link } from '@/ui';

export default function NotFound() {
  return (
    <div className="px-6 py-8">
      <h1 className="text-2xl">Page not found</h1>
      <p className="mt-2">
        The item may be archived, or the address may be wrong.{' '}
        <Link href="/" className="underline">
          Today
        </Link>{' '}
        lists what is available.
      </p>
    </div>
  );
}
