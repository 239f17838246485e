/** The coming days of the invented kitchen: lunches and two dinners. */
import { EMPTY_PLAN, type KeptDish, type PlanContent, type PlanDish, type PlanService } from '#contract';
import type { FormulaId } from '#core/formula';
import { DISHES, TIMING } from '#core/service';
import type { SharedStore } from '../features/changes/store';

type Dish = readonly [formulaId: string, kind: PlanDish['kind'], fresh: boolean];
const service = (
  id: string,
  name: string,
  hour: number,
  covers: number,
  dishes: readonly Dish[],
): PlanService => ({
  id,
  name,
  atMin: hour * 60,
  covers,
  dishes: dishes.map(([formulaId, kind, fresh], i) => ({
    id: `${id}-${i + 1}`,
    formulaId: formulaId as FormulaId,
    version: null,
    kind,
    fresh,
    dressed: 'normally',
    servingG: DISHES[kind].servingG,
    moment: TIMING[kind].best,
  })),
});

/** By how many days from today. */
const DEMO_DAYS: Readonly<Record<number, Partial<PlanContent>>> = {
  0: {
    services: [
      service('dinner-0', 'Dinner', 19, 28, [
        ['walnut-cider', 'sturdy-leaves', false],
        ['caraway-beet', 'warm-potato', true],
      ]),
    ],
  },
  1: {
    services: [
      service('lunch-1', 'Lunch', 12, 32, [
        ['walnut-cider', 'slaw', true],
        ['buttermilk-dill', 'tender-leaves', true],
      ]),
    ],
    jobs: [
      {
        id: 'beans-1',
        name: 'Soak the beans overnight',
        minutes: 720,
        handsOn: false,
        tool: null,
        serviceId: 'lunch-1',
        beforeMinutes: 120,
      },
    ],
  },
  2: {
    cooks: 2,
    services: [
      service('lunch-2', 'Lunch', 12, 40, [['walnut-cider', 'sturdy-leaves', false]]),
      service('dinner-2', 'Dinner', 19, 24, [['caraway-beet', 'warm-potato', true]]),
    ],
  },
  3: {
    services: [
      service('lunch-3', 'Lunch', 12, 40, [
        ['walnut-cider', 'tender-leaves', false],
        ['date-tahini', 'cooked', true],
      ]),
    ],
  },
};

/** What a formula is served on, for so many. */
const DEMO_DISHES: Readonly<Record<string, readonly Omit<KeptDish, 'id' | 'dressed'>[]>> = {
  'ginger-sesame': [
    {
      name: 'Terrace slaw',
      servings: 8,
      text: '600 g napa cabbage, shredded\n200 g carrot ribbons\n2 cucumbers, seeded\n80 g peanuts\n2 handfuls mint',
    },
    {
      name: 'Noodle bowl',
      servings: 4,
      text: '500 g rice noodles\n200 g prawns\n100 g edamame\n1 handful coriander leaves',
    },
  ],
};

export async function loadDishes(store: SharedStore): Promise<void> {
  for (const [formulaId, all] of Object.entries(DEMO_DISHES)) {
    const dishes = all.map((dish, i): KeptDish => ({
      ...dish,
      id: `${formulaId}-dish-${i + 1}`,
      dressed: 'normally',
    }));
    await store.replace('dishes', formulaId, { dishes });
  }
}

/** @param today YYYY-MM-DD. @param onlyEmpty days that somebody planned are left alone */
export async function loadPlans(store: SharedStore, today: string, onlyEmpty = false): Promise<void> {
  for (const [days, content] of Object.entries(DEMO_DAYS)) {
    const day = new Date(Date.parse(today) + Number(days) * 86_400_000).toISOString().slice(0, 10);
    if (onlyEmpty && (await store.get('plan', day)).revision > 0) continue;
    await store.replace('plan', day, { ...EMPTY_PLAN, ...content });
  }
}
