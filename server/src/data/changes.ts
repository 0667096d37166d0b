import pg from 'pg'

/** Told to whoever watches a yard: which horses changed, or that anything may have. */
export interface Watcher {
  readonly changed: (horseIds: ReadonlySet<string> | 'anything') => void
  readonly ended: () => void
}

/** What is committed to any yard by any server process, told to those who watch that yard. */
export interface Changes {
  /** Tells at once what changed in the last minute, for a page that was read before it watched. Gives the way to stop. */
  readonly watch: (yardId: string, watcher: Watcher) => () => void
  readonly end: () => Promise<void>
}

/** What changes together is told together. */
const GATHER_MS = 200
const TRY_AGAIN_MS = 1_000

/** A page is read, and watches, within this time. */
const RECENT_MS = 60_000

interface Told {
  readonly yardId: string
  readonly horseId: string | null
}

/** Listens on one connection of its own; after the database was away whoever watches is told that anything may have changed. */
export const listenForChanges = (url: string): Changes => {
  const watchers = new Map<string, Set<Watcher>>()
  const gathered = new Map<string, Set<string>>()
  const recent = new Map<string, ReadonlySet<string>[]>()
  let client: pg.Client | null = null
  let timer: NodeJS.Timeout | undefined
  let isOver = false

  const tellAll = (): void => {
    for (const yard of watchers.values()) for (const watcher of yard) watcher.changed('anything')
  }

  const remember = (yardId: string, horses: ReadonlySet<string>): void => {
    recent.set(yardId, [...(recent.get(yardId) ?? []), horses])
    setTimeout(() => {
      const [, ...later] = recent.get(yardId) ?? []
      if (later.length > 0) recent.set(yardId, later)
      else recent.delete(yardId)
    }, RECENT_MS).unref()
  }

  const heard = ({ payload }: pg.Notification): void => {
    const { yardId, horseId } = JSON.parse(payload ?? '{}') as Told
    const horses = gathered.get(yardId) ?? new Set()
    if (horseId !== null) horses.add(horseId)
    if (gathered.has(yardId)) return
    gathered.set(yardId, horses)
    setTimeout(() => {
      gathered.delete(yardId)
      for (const watcher of watchers.get(yardId) ?? []) watcher.changed(horses)
      remember(yardId, horses)
    }, GATHER_MS).unref()
  }

  const connect = async (isFirst: boolean): Promise<void> => {
    const listening = new pg.Client({ connectionString: url, keepAlive: true })
    client = listening
    const lost = (): void => {
      if (client !== listening || isOver) return
      client = null
      listening.end().catch(() => undefined)
      timer = setTimeout(() => void connect(false), TRY_AGAIN_MS)
    }
    listening.on('error', lost)
    listening.on('end', lost)
    listening.on('notification', heard)
    try {
      await listening.connect()
      await listening.query('listen yard_changed')
      if (!isFirst) tellAll()
    } catch {
      lost()
    }
  }
  void connect(true)

  return {
    watch: (yardId, watcher) => {
      const yard = watchers.get(yardId) ?? new Set()
      watchers.set(yardId, yard.add(watcher))
      const lately = recent.get(yardId)
      if (lately) watcher.changed(new Set(lately.flatMap((horses) => [...horses])))
      return () => {
        yard.delete(watcher)
        if (yard.size === 0 && watchers.get(yardId) === yard) watchers.delete(yardId)
      }
    },
    end: async () => {
      isOver = true
      clearTimeout(timer)
      for (const yard of watchers.values()) for (const watcher of yard) watcher.ended()
      await client?.end().catch(() => undefined)
    },
  }
}
