/** What stands on a page that somebody of another role works with. */
export const NotYours = () => (
  <main className="px-4 py-6 desk:px-5">
    <p className="text-lg">This is for a starter of the yard.</p>
  </main>
)
