import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { JarRow, ROW_PX, useColumns, type BoardsProps } from './JarRow';

/** Only the rows near the window are drawn, so that a thousand scroll as eight do. */
export function ManyBoards({ onSeen, ...props }: BoardsProps) {
  const { total } = props;
  const holder = useRef<HTMLDivElement>(null);
  const columns = useColumns(holder);
  const [offset, setOffset] = useState(0);
  useLayoutEffect(() => {
    setOffset(holder.current?.offsetTop ?? 0);
  }, []);
  const rows = useWindowVirtualizer({
    count: Math.ceil(total / columns),
    estimateSize: () => ROW_PX,
    overscan: 2,
    scrollMargin: offset,
  });
  const drawn = rows.getVirtualItems();
  const from = (drawn[0]?.index ?? 0) * columns;
  const to = Math.min(total, ((drawn.at(-1)?.index ?? 0) + 1) * columns) - 1;
  useEffect(() => {
    onSeen({ from, to });
  }, [from, to, onSeen]);
  return (
    <div ref={holder} className="relative mt-4 overflow-x-clip" style={{ height: rows.getTotalSize() }}>
      {drawn.map((row) => (
        <JarRow
          key={row.key}
          {...props}
          index={row.index}
          columns={columns}
          className="absolute inset-x-0 top-0 grid"
          top={row.start - offset}
        />
      ))}
    </div>
  );
}
