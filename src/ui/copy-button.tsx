'use client';

import { Check, Copy } from 'lucide-react';
import { useEffect, useState } from 'react';

/** Copies a text; says so in the button for a moment. */
export function CopyButton({
  text,
  label,
  children,
}: {
  text: string;
  label: string;
  children?: React.ReactNode;
}) {
  const [copied, setCopied] = useState(false);
  useEffect(() => {
    if (!copied) return;
    const timer = setTimeout(() => setCopied(false), 1500);
    return () => clearTimeout(timer);
  }, [copied]);
  const copy = () => void navigator.clipboard.writeText(text).then(() => setCopied(true));
  const said = copied ? `${label}: copied` : label;
  return (
    <button
      type="button"
      onClick={copy}
      aria-label={children === undefined ? said : undefined}
      className="inline-flex items-center gap-1.5 rounded-[4px] px-1 py-0.5 hover:bg-wash"
    >
      {children}
      {children !== undefined && <span className="sr-only">{said}</span>}
      {copied ? (
        <Check size={15} aria-hidden className="text-juniper" />
      ) : (
        <Copy size={15} aria-hidden className="text-soft" />
      )}
    </button>
  );
}
