import { MeterError, simulatedLightMeter } from './light-meter'
import { simulatedForecaster } from './sky-forecast'

const PLACE = { latitudeDeg: 52, longitudeDeg: -1 }

test('the simulated meter warms up, reads near the truth, drops out now and then, and runs empty', async () => {
  const meter = simulatedLightMeter(() => ({ lux: 400, cctK: 5000 }), 7)
  expect(meter.name).toMatch(/[Ss]imulated/)
  await expect(meter.read()).rejects.toThrow(/warms up/)
  const read: number[] = []
  const said = new Set<string>()
  for (let i = 0; i < 220; i++)
    try {
      const { lux, cctK } = await meter.read()
      read.push(lux)
      expect(Math.abs(lux / 400 - 1)).toBeLessThan(0.05)
      expect(Math.abs(cctK / 5000 - 1)).toBeLessThan(0.02)
    } catch (error) {
      expect(error).toBeInstanceOf(MeterError)
      said.add((error as Error).message)
    }
  expect(new Set(read).size).toBeGreaterThan(100)
  expect([...said].join(' ')).toMatch(/connection dropped/)
  expect([...said].join(' ')).toMatch(/battery is empty/)
})

test('the simulated sky is the same for a place and date, and greyer where it is grey', async () => {
  const forecast = (climate: 'grey' | 'sunny', date: string) =>
    simulatedForecaster(climate).forecast(PLACE, date)
  expect(await forecast('grey', '2026-06-21')).toEqual(await forecast('grey', '2026-06-21'))
  expect((await forecast('grey', '2026-06-21')).source).toBe('simulated')
  const clearHours = async (climate: 'grey' | 'sunny'): Promise<number> => {
    let clear = 0
    for (let day = 1; day <= 28; day++) {
      const { hours } = await forecast(climate, `2026-02-${String(day).padStart(2, '0')}`)
      expect(hours).toHaveLength(24)
      clear += hours.filter((sky) => sky === 'clear').length
    }
    return clear
  }
  expect(await clearHours('sunny')).toBeGreaterThan(1.3 * (await clearHours('grey')))
})
