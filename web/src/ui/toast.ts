import type { ExternalToast } from 'sonner'

// What is said in passing is loaded when the first of it is said: no first page needs it.
const sayer = () => import('sonner').then(({ toast }) => toast)

/** Says something in passing, with an action to take it back where there is one. */
export const toast = Object.assign(
  (words: string, options?: ExternalToast): void => void sayer().then((say) => say(words, options)),
  {
    error: (words: string, options?: ExternalToast): void =>
      void sayer().then((say) => say.error(words, options)),
    loading: (words: string, options?: ExternalToast): void =>
      void sayer().then((say) => say.loading(words, options)),
    dismiss: (id: string): void => void sayer().then((say) => say.dismiss(id)),
  },
)
