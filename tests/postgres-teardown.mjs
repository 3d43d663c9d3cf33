export default function teardown() {
  globalThis.elmPostgres?.stop()
}
