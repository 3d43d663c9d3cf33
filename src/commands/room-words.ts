import { Refusal } from './kind'

export const metresWords = (mm: number): string => `${(mm / 1000).toFixed(2)} m`

export const roomNameTaken = (name: string): Refusal =>
  new Refusal('', { name: `This visit has a room “${name}” already.` })
