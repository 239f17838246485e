/** Services as a calendar (iCalendar, RFC 5545), and out of one. */
import ical from 'ical-generator';
import ICAL from 'ical.js';
import type { PlanContent, PlanService } from '#contract';
import { planWords } from '#words/screens/plan';
import { newId } from '../../sync/device';
import { momentOf } from '#kitchen/day';

const SERVICE_MINUTES = 120;

export function calendarOf(
  days: readonly (Pick<PlanContent, 'services'> & { readonly day: string })[],
): string {
  const calendar = ical({
    name: planWords.services,
    prodId: { company: planWords.ygrana, product: planWords.servicePlan, language: 'EN' },
  });
  for (const { day, services } of days) {
    for (const { id, name, atMin: at, covers } of services) {
      calendar.createEvent({
        id: `${day}-${id}@ygrana`,
        start: momentOf(day, at * 60),
        end: momentOf(day, (at + SERVICE_MINUTES) * 60),
        summary: name,
        description: planWords.coversCovers(covers),
      });
    }
  }
  return calendar.toString();
}

const COVERS = /(\d{1,4})\s*(?:covers?|guests?|people|pax|persons?)/i;
const USUAL_COVERS = 20;

/** The events of one day as services; covers where the event says them. @throws where it is no calendar */
export function servicesFrom(text: string, day: string): PlanService[] {
  const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
  if (root.name !== 'vcalendar') throw new Error('No calendar.');
  return root.getAllSubcomponents('vevent').flatMap((component): PlanService[] => {
    const event = new ICAL.Event(component);
    const start = event.startDate.toJSDate();
    const [midnight, next] = [momentOf(day, 0), momentOf(day, 86_400)];
    if (start < midnight || start >= next || event.startDate.isDate) return [];
    const words = `${event.summary ?? ''} ${event.description ?? ''}`;
    const covers = Number(COVERS.exec(words)?.[1] ?? USUAL_COVERS);
    return [
      {
        id: newId(),
        name: (event.summary || planWords.service).slice(0, 120),
        atMin: start.getHours() * 60 + start.getMinutes(),
        covers: Math.min(5000, Math.max(1, covers)),
        dishes: [],
      },
    ];
  });
}
