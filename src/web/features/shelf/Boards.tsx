import { Suspense, useEffect, useRef } from 'react';
import { later } from '../../ui/later';
import { JarRow, ROW_PX, useColumns, type BoardsProps } from './JarRow';

/** So many are drawn without more ado; what draws only those near the window is fetched for more. */
const FEW = 60;

const ManyBoards = later(async () => (await import('./ManyBoards')).ManyBoards);

/** Rows of jars. */
export function Boards(props: BoardsProps) {
  return props.total <= FEW ? (
    <FewBoards {...props} />
  ) : (
    <Suspense fallback={<div className="mt-4" style={{ height: ROW_PX }} aria-busy />}>
      <ManyBoards {...props} />
    </Suspense>
  );
}

function FewBoards({ onSeen, ...props }: BoardsProps) {
  const { total } = props;
  const holder = useRef<HTMLDivElement>(null);
  const columns = useColumns(holder);
  useEffect(() => {
    onSeen({ from: 0, to: total - 1 });
  }, [total, onSeen]);
  return (
    <div ref={holder} className="relative mt-4 overflow-x-clip">
      {Array.from({ length: Math.ceil(total / columns) }, (_, index) => (
        <JarRow key={index} {...props} index={index} columns={columns} className="grid" top={null} />
      ))}
    </div>
  );
}
