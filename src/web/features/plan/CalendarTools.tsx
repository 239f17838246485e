import { useState } from 'react';
import type { PlanContent } from '#contract';
import { planWords } from '#words/screens/plan';
import { Button } from '../../ui/Button';
import { saveText } from '../../ui/saveFile';
import { calendarOf, servicesFrom } from './calendar';

/** Services of some days as one calendar file. */
export function SaveCalendar({ days, name }: { days: Parameters<typeof calendarOf>[0]; name: string }) {
  return (
    <Button
      disabled={days.every(({ services }) => services.length === 0)}
      onClick={() => {
        saveText(calendarOf(days), `services-${name}.ics`, 'text/calendar');
      }}
    >
      {planWords.saveAsCalendar}
    </Button>
  );
}

/** Out as a calendar, and services in from one. */
export function CalendarTools({
  day,
  content,
  onServices,
}: {
  day: string;
  content: PlanContent;
  onServices: (services: PlanContent['services']) => void;
}) {
  const [said, setSaid] = useState<string | null>(null);
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      const found = servicesFrom(await file.text(), day);
      if (found.length > 0) onServices(found);
      setSaid(
        found.length > 0
          ? planWords.lengthServicesOfDayBrought(found.length, day)
          : planWords.thereIsNothingOnDay(day),
      );
    } catch {
      setSaid(planWords.thisIsNoCalendarThat);
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-2">
      <SaveCalendar days={[{ day, services: content.services }]} name={day} />
      <label className="inline-flex min-h-8 cursor-pointer items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint has-focus-visible:outline-3 has-focus-visible:outline-leaf">
        {planWords.servicesFromACalendar}
        <input
          type="file"
          aria-label={planWords.calendarFile}
          accept=".ics,text/calendar"
          className="sr-only"
          onChange={({ target }) => {
            void open(target.files?.[0]);
            target.value = '';
          }}
        />
      </label>
      {said && (
        <span role="status" className="text-sm">
          {said}
        </span>
      )}
    </div>
  );
}
