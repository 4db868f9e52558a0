import type { ButtonHTMLAttributes } from 'react';

type ButtonProps = ButtonHTMLAttributes<HTMLButtonElement> & { readonly weight?: 'main' | 'plain' | 'large' };

const LOOKS = {
  main: 'bg-juniper text-on-juniper px-4 py-2 font-semibold',
  large: 'bg-juniper text-on-juniper px-5 min-h-16 text-lg font-semibold',
  plain: 'border border-edge bg-sheet px-3 py-2',
};

export function buttonLook(weight: keyof typeof LOOKS = 'plain'): string {
  return `inline-flex items-center justify-center gap-2 rounded-[5px] disabled:opacity-60 ${LOOKS[weight]}`;
}

export function Button({ weight = 'plain', className = '', type = 'button', ...rest }: ButtonProps) {
  return <button type={type} className={`${buttonLook(weight)} ${className}`} {...rest} />;
}
