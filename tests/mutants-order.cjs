const { default: Sequencer } = require('@jest/test-sequencer')

/** For `npm run mutants`: what takes long is asked last, of what nothing else has noticed. */
module.exports = class MutantsOrder extends Sequencer {
  sort(tests) {
    const late = ({ path }) => Number(/by-chance|window-light|room-light/.test(path))
    return [...tests].sort((p, q) => late(p) - late(q) || (p.path < q.path ? -1 : 1))
  }
}
