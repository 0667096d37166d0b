// The licences of what the product is built from, as one text that ships with it.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './folders.mjs'

const LICENCE_FILE = /^(licen[cs]e|copying|notice)/i

const textsIn = (folder) =>
  readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isFile() && LICENCE_FILE.test(entry.name))
    .map(({ name }) => readFileSync(join(folder, name), 'utf8').trim())

/** Packages that ship, by the lock file: neither ours nor only for building and testing. */
const shipped = () => {
  const { packages } = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'))
  return Object.entries(packages).filter(
    ([path, { dev, link }]) =>
      path.includes('node_modules/') && !dev && !link && existsSync(join(ROOT, path)),
  )
}

const entry = ([path, { version, license = 'see below' }]) => {
  const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)
  return [`${name} ${version} (${license})`, ...textsIn(join(ROOT, path))].join('\n\n')
}

/** Writes them all to a file. */
export const writeLicences = (file) =>
  writeFileSync(
    file,
    `Still Pine is built from the packages below.\n\n${shipped()
      .map(entry)
      .join(`\n\n${'-'.repeat(72)}\n\n`)}\n`,
  )
