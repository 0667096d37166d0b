import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import type { Race, Row } from './composer/shard'
import type { FoundValues, ToFind } from './find-values'

/** All the cores there are, for what takes minutes or hours. */
export interface Threads {
  readonly findValues: (task: ToFind) => Promise<FoundValues>
  readonly raced: (race: Race) => Promise<Row>
  readonly end: () => Promise<void>
}

export const startThreads = (file: string): Threads => {
  const pool = new Piscina({ filename: file, maxThreads: availableParallelism() })
  return {
    findValues: (task) => pool.run(task, { name: 'findValues' }) as Promise<FoundValues>,
    raced: (race) => pool.run(race, { name: 'raced' }) as Promise<Row>,
    end: () => pool.destroy(),
  }
}
