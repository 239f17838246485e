/** Searches for amounts away from the page, so that typing never waits for them. */
import {
  formulate,
  roundPlan,
  searchRemedies,
  wholeOf,
  type PlanLine,
  type Rounding,
  type Work,
} from '#core/balance';
import type { Ingredient } from '#core/ingredient';
import { planBatch, type BatchAnswer } from '#core/batch';
import { stepHold, type HoldRequest } from '#core/emulsion';
import { lookAtGlass } from '#core/glass';
import { jarsToMake, learnLiking } from '#core/liking';
import { readLabel, stepLabel } from '#core/label';
import { wrongRound } from '#core/practise';
import { leftAfter, seasonWays, type SeasonWay } from '#core/season';
import { drive } from './drive';
import type { Answers, FromWorker, Kind, Questions, ToWorker } from './protocol';

const cancelled = new Set<number>();
const say = (message: FromWorker): void => {
  self.postMessage(message);
};

function workFor(kind: Kind, question: Questions[Kind]): Work<Answers[Kind]> {
  switch (kind) {
    case 'remedies':
      return searchRemedies(question as Questions['remedies']);
    case 'formulate':
      return formulateAndRound(question as Questions['formulate']);
    case 'batch':
      return planBatch(question as Questions['batch']);
    case 'batches':
      return planAll(question as Questions['batches']);
    case 'hold':
      return holdWork(question as Questions['hold']);
    case 'label': {
      const { text, printed, per, ingredients } = question as Questions['label'];
      const catalogue = new Map(ingredients.map((one) => [one.id, one]));
      return stepLabel(readLabel(text, catalogue), printed, per);
    }
    case 'liking':
      return likingWork(question as Questions['liking']);
    case 'glass': {
      const { photo, marks } = question as Questions['glass'];
      return once(() => lookAtGlass(photo, marks));
    }
    case 'season':
      return seasonWork(question as Questions['season']);
    case 'practise': {
      const { dressings, wanted, difficulty, seed, ingredients, hand } = question as Questions['practise'];
      const catalogue = new Map(ingredients.map((one) => [one.id, one]));
      const context = { catalogue, hand, stockG: () => null, locked: new Set<never>() };
      return once(() => ({ round: wrongRound(dressings, wanted, difficulty, context, seed) }));
    }
    case 'round': {
      const { plan, to } = question as Questions['round'];
      return once(() => roundPlan(plan, to));
    }
  }
}

function* formulateAndRound({ request, to }: Questions['formulate']): Work<Answers['formulate']> {
  const outcome = yield* formulate(request);
  if (outcome.status !== 'answers') return { outcome, roundings: [] };
  const roundings: Rounding[] = [];
  for (const [index, { portions }] of outcome.answers.entries()) {
    yield { done: index / outcome.answers.length, total: 1 };
    const plan = portions.map(({ ingredient, form, massG }): PlanLine => {
      const most = request.onHand.find((item) => item.ingredient.id === ingredient.id)?.maxG;
      return {
        ingredient,
        form,
        massG: massG.nominal,
        kept: false,
        ...countedAs(ingredient, massG.nominal),
        ...(most == null ? {} : { mostG: most }),
      };
    });
    roundings.push(roundPlan(plan, to));
  }
  return { outcome, roundings };
}

/** What came out as whole things is said in them. */
function countedAs(ingredient: Ingredient, massG: number): Pick<PlanLine, 'whole'> {
  const whole = wholeOf(ingredient);
  if (!whole || whole.step !== 1) return {};
  const count = massG / whole.massG;
  return Math.abs(count - Math.round(count)) < 1e-6 && count >= 1 ? { whole } : {};
}

function* likingWork({ jars, ingredients, onHand }: Questions['liking']): Work<Answers['liking']> {
  const catalogue = new Map(ingredients.map((one) => [one.id, one]));
  const has = new Set(onHand);
  const best =
    jars.find(({ said }) => said === 'more') ?? jars.find(({ said }) => said === 'liked') ?? jars[0];
  const pool = jarsToMake(best?.portions ?? [], catalogue, (id) => has.has(id));
  const liking = yield* learnLiking(
    jars,
    pool.map(({ portions }) => portions),
  );
  return { liking, next: liking.next.map(({ index }) => pool[index]!) };
}

function* seasonWork({ batches, ingredients, stock }: Questions['season']): Work<Answers['season']> {
  const catalogue = new Map(ingredients.map((one) => [one.id, one]));
  const found: (readonly SeasonWay[])[] = [];
  let left = stock;
  for (const [place, batch] of batches.entries()) {
    const work = seasonWays({ ...batch, catalogue, stock: left });
    for (;;) {
      const step = work.next();
      if (step.done) {
        found.push(step.value);
        left = leftAfter(left, step.value[0]?.portions ?? batch.portions, batch.times);
        break;
      }
      yield { done: (place + step.value.done) / batches.length, total: 1 };
    }
  }
  return found;
}

function* holdWork(request: HoldRequest): Work<Answers['hold']> {
  const work = stepHold(request);
  for (;;) {
    const step = work.next();
    if (step.done) return { hold: step.value };
    yield { done: step.value, total: 1 };
  }
}

function* planAll(requests: Questions['batches']): Work<Answers['batches']> {
  const answers: BatchAnswer[] = [];
  for (const [index, request] of requests.entries()) {
    yield { done: index, total: requests.length };
    answers.push(yield* planBatch(request));
  }
  return answers;
}

function* once<T>(work: () => T): Work<T> {
  yield { done: 0, total: 1 };
  return work();
}

async function answer(id: number, kind: Kind, question: Questions[Kind]): Promise<void> {
  try {
    const found = await drive(workFor(kind, question), {
      stopped: () => cancelled.has(id),
      onProgress: (progress) => {
        say({ type: 'progress', id, progress });
      },
      now: () => performance.now(),
      breathe: () => new Promise((resolve) => setTimeout(resolve, 0)),
    });
    if (found) say({ type: 'answer', id, answer: found });
  } catch (error) {
    say({ type: 'failed', id, message: error instanceof Error ? error.message : String(error) });
  } finally {
    cancelled.delete(id);
  }
}

self.addEventListener('message', ({ data }: MessageEvent<ToWorker>) => {
  if (data.type === 'cancel') cancelled.add(data.id);
  else void answer(data.id, data.kind, data.question);
});
