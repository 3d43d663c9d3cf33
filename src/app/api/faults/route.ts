import { z } from 'zod'
import { refused, taking } from '@/app/writing'
import { framesOf, noteFault } from '@/store/fault-log'
import { dataDirFromEnvironment } from '@/store/store'

const Told = z.object({
  place: z.string().max(400),
  name: z.string().max(100),
  message: z.string().max(5000),
  stack: z.string().max(20_000),
})

/** Notes what failed on a page, for whoever looks after the server. */
export const POST = taking(
  { takes: 'faults', mostBytes: 30_000, keeps: false },
  async (request) => {
    const told = Told.safeParse(await request.json().catch(() => null))
    if (!told.success) return refused('Expected a fault.', 400)
    const { stack, ...fault } = told.data
    noteFault(dataDirFromEnvironment(), {
      ...fault,
      ...{ at: new Date().toISOString(), frames: framesOf(stack) },
    })
    return new Response(null, { status: 204 })
  },
)
