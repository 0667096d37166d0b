/** A colour of the page as it is now, for a library that does not read its variables. */
export const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()
