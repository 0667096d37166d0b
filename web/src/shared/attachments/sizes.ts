import { grouped } from '../words'

const KILOBYTE = 1 << 10
const MEGABYTE = 1 << 20

/** "640 kB", "12 MB": how large a file is, as a person says it. */
export const sizeWords = (bytes: number): string =>
  bytes < MEGABYTE
    ? `${grouped(Math.ceil(bytes / KILOBYTE))} kB`
    : `${grouped(Math.round((10 * bytes) / MEGABYTE) / 10)} MB`
