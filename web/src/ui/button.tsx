import type { ButtonHTMLAttributes, ReactNode } from 'react'

type Look = 'plain' | 'act' | 'danger' | 'quiet'

const LOOKS: Record<Look, string> = {
  plain: 'border-2 border-ink bg-panel text-ink',
  act: 'border-2 border-act bg-act text-on-act',
  danger: 'border-2 border-stop bg-panel text-stop',
  quiet: 'border-2 border-transparent text-ink underline decoration-2 underline-offset-4',
}

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: Look
  /** The key that does the same, shown beside the words. */
  readonly hint?: string | undefined
  readonly children: ReactNode
}

export const Button = ({ look = 'plain', hint, children, className = '', ...rest }: Props) => (
  <button
    type="button"
    className={`inline-flex min-h-11 flex-wrap items-center justify-center gap-x-2 rounded-md px-4 py-2 font-name font-bold disabled:opacity-50 ${LOOKS[look]} ${className}`}
    {...rest}
  >
    <span>{children}</span>
    {hint && <kbd className="font-read text-sm font-normal opacity-80 phone:hidden low:hidden">{hint}</kbd>}
  </button>
)
