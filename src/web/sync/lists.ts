import { readKey, type WorkKey } from './shared';

/** What is shown in lists of it beside the thing itself. */
export function listsWith(key: WorkKey) {
  switch (readKey(key).kind) {
    case 'formula':
      return ['Shelf', 'Made'] as const;
    case 'plan':
      return ['PlanWeeks'] as const;
    case 'settings':
      // How many makings prove a version is one of them.
      return ['Settings', { type: 'Trials', id: 'ALL' }] as const;
    case 'pantry':
      return ['Pantry'] as const;
    case 'vessel':
      return ['Vessels'] as const;
    case 'style':
      return ['Styles'] as const;
    case 'ingredient':
      return ['Ingredients'] as const;
    case 'dishes':
    case 'practice':
      return [] as const;
    case 'cook':
      return ['Cooks'] as const;
  }
}
