/** What the handler did wrong; noted to be honest about an answer, never to mend its grade (common practice). */
export const SLIPS: readonly string[] = [
  'moved my own feet',
  'rope too long',
  'too much voice',
  'let go late',
  'asked twice',
  'stood in the wrong place',
]
