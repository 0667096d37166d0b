import { defineConfig } from 'vitest/config'

const project = (name: string, include: string[], extra = {}) => ({
  test: { name, include, ...extra },
})

export default defineConfig({
  test: {
    projects: [
      project('core', ['core/**/*.test.ts'], { testTimeout: 240_000 }),
      project('contract', ['contract/**/*.test.ts']),
      project('use-cases', ['use-cases/**/*.test.ts']),
      project('device', ['device/**/*.test.ts'], { testTimeout: 60_000 }),
      project('server', ['server/**/*.test.ts'], {
        globalSetup: ['server/tests/cluster.ts'],
        testTimeout: 180_000,
        hookTimeout: 120_000,
      }),
      project('web', ['web/**/*.test.ts'], { testTimeout: 60_000 }),
      project('stand-ins', ['stand-ins/**/*.test.ts']),
      project('hosts', ['e2e/**/*.test.ts'], {
        globalSetup: ['server/tests/cluster.ts'],
        testTimeout: 180_000,
        hookTimeout: 120_000,
      }),
      project('demo', ['demo/**/*.test.ts'], { testTimeout: 240_000 }),
    ],
  },
})
