import {
  judge,
  resultInWords,
  suspectsFor,
  testById,
  type TestResult,
} from '../../diagnosis/index.ts';
import { madeUpCar } from '../../standins/cars.ts';
import { choice, type Maker } from '../exercise.ts';
import { namedPlaces, type ToldAt } from '../picture.ts';
import { mostTries, shuffled } from './draw.ts';

/** So sure the tests have made it when they are shown: the harder, the less. */
const sureAt = [0.95, 0.9, 0.85, 0.8, 0.72] as const;
const mostTests = 9;
/** Causes to choose from. */
const choices = 4;

/** What is it? A made-up car, its tests bought by what they tell a minute until they tell enough. */
export const corner: Maker = (r, level) => {
  const wanted = sureAt[level - 1] ?? 0.9;
  for (let tries = 0; tries < mostTries; tries += 1) {
    const car = madeUpCar(suspectsFor('front'), r, 0);
    const results: TestResult[] = [];
    const told: ToldAt[] = [];
    let minutes = 0;
    let now = judge('front', undefined, results);
    while (results.length < mostTests && (now.suspects[0]?.probability ?? 0) < wanted) {
      const [next] = now.next;
      if (!next) break;
      const { test, place } = next;
      const result: TestResult = { testId: test.id, place, ...car.answer(test, place) };
      results.push(result);
      minutes += next.minutes;
      const words = testById(test.id);
      if (words) told.push({ place, text: resultInWords(words, result) });
      now = judge('front', undefined, results);
    }
    const [top, ...others] = now.suspects;
    if (!top || top.probability < wanted || results.length === 0) continue;
    const near = others.filter((s) => s.prior > 0).slice(0, choices - 1);
    const best = [...top.reasons].sort((a, b) => b.bits - a.bits)[0];
    const sure = Math.round(100 * top.probability);
    const picture = {
      of: 'car',
      title: `${results.length} tests, ${Math.round(minutes)} minutes`,
      layout: 'front',
      told,
    } as const;
    return choice({
      ask: 'A front-wheel-drive car, its tests so far. What is it?',
      picture,
      options: shuffled([top, ...near], r).map((s) => ({ id: s.id, text: s.name })),
      answer: top.id,
      after: (chosen) => ({ ...picture, was: namedPlaces([top, ...near], top.id, chosen.id) }),
      because: `${top.name}, ${sure} %${best ? `: ${best.label}, most of all` : ''}.`,
      source: 'the tables of our diagnosis, Bayes; figures are our judgement',
      otherwise:
        'The wrong part is taken off, the noise stays, and the car comes back within a week.',
      hard: { value: sure, unit: '% sure by these tests' },
    });
  }
  throw new RangeError('seed: no car whose tests tell enough');
};
