import { Refusal } from './kind'

export const roomNameTaken = (name: string): Refusal =>
  new Refusal('', { name: `This visit has a room “${name}” already.` })
