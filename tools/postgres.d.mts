export interface Cluster {
  readonly url: string
  readonly port: number
  address(database: string): string
  pid(): number | undefined
  restart(): Promise<void>
  stop(): Promise<void>
}
export function startCluster(folder: string, options?: { throwaway?: boolean }): Promise<Cluster>
export function removeCluster(folder: string): Promise<void>
