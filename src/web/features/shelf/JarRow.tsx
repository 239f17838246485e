import { useEffect, useState, type RefObject } from 'react';
import type { ShelfRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import type { Kitchen } from '#kitchen/reading';
import { useSteady } from '../../ui/useSteady';
import { ShelfJar, type JarActions } from './ShelfJar';

/** A jar with its label, and a board with the jars on it, px. */
const JAR_PX = 236;
export const ROW_PX = 352;

export interface BoardsProps {
  readonly total: number;
  readonly recordAt: (place: number) => ShelfRecord | undefined;
  readonly kitchen: Kitchen;
  readonly actions: JarActions;
  /** Null: jars are opened, not chosen. */
  readonly chosen: ReadonlyMap<FormulaId, ShelfRecord> | null;
  readonly onChosen: (chosen: ReadonlyMap<FormulaId, ShelfRecord>) => void;
  readonly onSeen: (places: { from: number; to: number }) => void;
}

/** So many jars stand beside each other. */
export function useColumns(holder: RefObject<HTMLDivElement | null>): number {
  const [columns, setColumns] = useState(5);
  useEffect(() => {
    const watcher = new ResizeObserver(([entry]) => {
      setColumns(Math.max(2, Math.floor((entry?.contentRect.width ?? 0) / JAR_PX)));
    });
    if (holder.current) watcher.observe(holder.current);
    return () => {
      watcher.disconnect();
    };
  }, [holder]);
  return columns;
}

interface JarRowProps extends Omit<BoardsProps, 'onSeen'> {
  readonly index: number;
  readonly columns: number;
  readonly className: string;
  /** Where it is drawn, px from the first; null: one under the other. */
  readonly top: number | null;
}

/** A board with its jars. */
export function JarRow({
  total,
  recordAt,
  kitchen,
  actions,
  chosen,
  onChosen,
  index,
  columns,
  className,
  top,
}: JarRowProps) {
  const choose = useSteady((record: ShelfRecord) => {
    if (!chosen) return;
    const next = new Map(chosen);
    if (!next.delete(record.id)) next.set(record.id, record);
    onChosen(next);
  });
  return (
    <ul
      className={className}
      style={{
        gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
        height: ROW_PX,
        ...(top === null ? {} : { transform: `translateY(${top}px)` }),
      }}
    >
      {Array.from({ length: Math.min(columns, total - index * columns) }, (_, at) => {
        const record = recordAt(index * columns + at);
        return record ? (
          <ShelfJar
            key={record.id}
            record={record}
            kitchen={kitchen}
            actions={actions}
            chosen={chosen?.has(record.id) ?? null}
            onChoose={choose}
          />
        ) : (
          <li key={at} className="board h-[236px]" aria-busy />
        );
      })}
    </ul>
  );
}
