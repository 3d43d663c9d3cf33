'use client'

import { useState } from 'react'
import { brickWall, COURSES, nextLine, screened, type BrickAnswer } from '@/core/vision/screening'
import { hexOfXyz } from '@/core/vision/confusion'
import { Link } from '../frame/page-link'
import { useKeys } from '../keys/use-keys'
import { forgetScreening, keepScreening, useKeptScreening } from './kept-screening'

/** A short screening of colour vision: which course of a wall is of another colour. */
export function ScreeningView() {
  const kept = useKeptScreening()
  const [answers, setAnswers] = useState<readonly BrickAnswer[] | null>(null)
  const [seed, setSeed] = useState(0)
  const line = answers && nextLine(answers)
  if (answers && line) {
    const wall = brickWall(line, seed + answers.length)
    return (
      <Wall
        key={answers.length}
        place={answers.length + 1}
        courses={wall.courses.map((course) => course.map(hexOfXyz))}
        onAnswer={(course) => {
          const all = [...answers, { confusion: line, isRight: course === wall.odd }]
          setAnswers(all)
          if (nextLine(all) === null) keepScreening(screened(all))
        }}
        onEnd={() => setAnswers(null)}
      />
    )
  }
  return (
    <main className="min-h-0 flex-1 overflow-y-auto">
      <div className="mx-auto flex max-w-4xl flex-col items-start gap-4 px-6 py-6">
        <h1 className="text-head">Colour vision</h1>
        <p className="max-w-prose">
          Some people see some differences of colour less than most do, and often do not know. A
          wall of bricks is shown, each of another depth; one course of it is of another colour. Say
          which, or guess. It takes two minutes.
        </p>
        <p className="max-w-prose text-small text-dim">
          It is no medical test and tells no kind or degree: screens, glasses and the light of the
          room change it. Only an eye specialist can tell. It is kept on this device and sent
          nowhere; nothing in Elm Swatch hangs on it.
        </p>
        {kept && (
          <div className="flex flex-col items-start gap-2 border-l-4 border-ink pl-3" role="status">
            <p className="font-medium">{kept.words}</p>
            <p>{kept.second}</p>
            <p className="text-small text-dim">
              On this device, {kept.on}.{' '}
              <button
                type="button"
                className="underline underline-offset-4"
                onClick={forgetScreening}
              >
                Forget it
              </button>
            </p>
          </div>
        )}
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="key key-first px-6"
            autoFocus
            onClick={() => {
              setSeed(Math.floor(Math.random() * 2 ** 31))
              setAnswers([])
            }}
          >
            {kept ? 'Once more' : 'Start'}
          </button>
          <Link href="/practice" className="key px-6">
            Back to practice
          </Link>
        </div>
      </div>
    </main>
  )
}

function Wall({
  place,
  courses,
  onAnswer,
  onEnd,
}: {
  readonly place: number
  readonly courses: readonly (readonly string[])[]
  readonly onAnswer: (course: number) => void
  readonly onEnd: () => void
}) {
  const keys = Array.from({ length: COURSES }, (_, i) => String(i + 1))
  useKeys(
    { ...Object.fromEntries(keys.map((key, i) => [key, () => onAnswer(i)])), Escape: onEnd },
    [
      [`1 … ${COURSES}`, 'this course is of another colour'],
      ['Esc', 'ends it; nothing is kept'],
    ],
  )
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">Colour vision</h1>
      <div className="flex min-h-0 flex-1 flex-col justify-center bg-midgrey p-8 max-sm:p-3">
        {courses.map((course, i) => (
          <div
            key={keys[i]}
            role="img"
            aria-label={`Course ${keys[i]}; this needs eyes`}
            className="flex h-24 max-h-[22%]"
            // Bricks of a course lie over the joints of the one below.
            style={{ marginInline: i % 2 === 0 ? '0 4%' : '4% 0' }}
          >
            {course.map((hex, brick) => (
              <span key={brick} className="m-0.5 flex-1" style={{ background: hex }} />
            ))}
          </div>
        ))}
      </div>
      <section className="flex flex-col gap-2 px-4 py-3">
        <h2 className="font-text text-body font-medium" aria-live="polite">
          Wall {place}: which course is of another colour, counted from the top?
        </h2>
        <div className="flex flex-wrap gap-2">
          {keys.map((key, i) => (
            <button
              key={key}
              type="button"
              className="key min-w-20 flex-1"
              onClick={() => onAnswer(i)}
            >
              {key}
            </button>
          ))}
          <button type="button" className="key" onClick={onEnd}>
            End <span className="text-dim">Esc</span>
          </button>
        </div>
      </section>
    </main>
  )
}
