import { describe, expect, it } from 'vitest';
import { EmbeddedWire, type Wire } from '../db/wire';
import type { News } from '#contract';
import { LiveHub } from './hub';

/** Two hubs on one line, as two processes have it. */
function line(): { wires: readonly Wire[]; cut: () => void } {
  const ends: { onNews: (news: unknown) => void; onGap: () => void }[] = [];
  const wire = (self: number): Wire => ({
    send: (news) => {
      ends.forEach((end, i) => {
        if (i !== self) end.onNews(JSON.parse(JSON.stringify(news)));
      });
      return Promise.resolve();
    },
    hear: (onNews, onGap) => {
      ends[self] = { onNews, onGap };
    },
    close: () => Promise.resolve(),
  });
  return {
    wires: [wire(0), wire(1)],
    cut: () => {
      for (const { onGap } of ends) onGap();
    },
  };
}
const heardBy = (hub: LiveHub): News[] => {
  const heard: News[] = [];
  hub.listen((news) => heard.push(news));
  return heard;
};

describe('the hub of a process', () => {
  it('tells its own screens and the other processes, each once', () => {
    const [a, b] = line().wires.map((wire) => new LiveHub(wire)) as [LiveHub, LiveHub];
    const [own, second, other] = [heardBy(a), heardBy(a), heardBy(b)];
    a.tell({ about: 'plan', day: '2026-12-01' });
    b.tell({ about: 'timers' });
    for (const heard of [own, second, other])
      expect(heard).toEqual([{ about: 'plan', day: '2026-12-01' }, { about: 'timers' }]);
  });

  it('says that something may have been missed once the line is back', () => {
    const { wires, cut } = line();
    const heard = heardBy(new LiveHub(wires[0]!));
    new LiveHub(wires[1]!);
    cut();
    expect(heard).toEqual([{ about: 'gap' }]);
  });

  it('forgets who has left, and alone has nobody to tell', () => {
    const hub = new LiveHub(new EmbeddedWire());
    const heard: News[] = [];
    const leave = hub.listen((news) => heard.push(news));
    hub.tell({ about: 'timers' });
    leave();
    hub.tell({ about: 'timers' });
    expect(heard).toHaveLength(1);
  });
});
