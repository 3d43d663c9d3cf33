import { wordsIn } from './written'

test('what people read is found: between tags, in strings, in templates; keys, classes and queries are not', () => {
  const source = `
    import { x } from 'some words here'
    const KEY = 'too-green'
    const said = \`\${name} at \${percent} % is proposed.\`
    const sql = 'select a from b'
    export const Page = () => (
      <main className="flex gap-2 text-small" aria-label="What stays">
        Nothing entered yet.
        Begin with {said}
      </main>
    )`
  expect(wordsIn('page.tsx', source)).toEqual([
    '{…} at {…} % is proposed.',
    'What stays',
    'Nothing entered yet. Begin with',
  ])
})
