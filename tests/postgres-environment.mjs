import { randomBytes } from 'node:crypto'
import { TestEnvironment } from 'jest-environment-node'
import pg from 'pg'

export default class PostgresEnvironment extends TestEnvironment {
  async setup() {
    await super.setup()
    const host = process.env.ELM_TEST_POSTGRES
    const database = `test_${randomBytes(6).toString('hex')}`
    const admin = new pg.Client({ host, user: 'elm', database: 'postgres' })
    await admin.connect()
    await admin.query(`create database ${database}`)
    await admin.end()
    this.global.postgresUrl = `postgresql://elm@/${database}?host=${encodeURIComponent(host)}`
  }
}
