import { DropdownMenu } from 'radix-ui';
import { MoreHorizontal } from 'lucide-react';
import { IconButton } from './Button';

export interface MenuItem {
  readonly label: string;
  readonly onSelect: () => void;
  /** Takes something away. */
  readonly grave?: boolean;
}

/** Three dots, and what they open. Groups are set apart by a line. */
export function Menu({ label, groups }: { label: string; groups: readonly (readonly MenuItem[])[] }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <IconButton label={label} className="border-transparent bg-transparent">
          <MoreHorizontal size={16} aria-hidden />
        </IconButton>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-50 min-w-48 rounded-md border border-edge bg-paper p-1 shadow-lg"
        >
          {groups.map((items, index) => (
            <div key={items[0]?.label ?? index}>
              {index > 0 && <DropdownMenu.Separator className="my-1 h-px bg-rule" />}
              {items.map(({ label: text, onSelect, grave }) => (
                <DropdownMenu.Item
                  key={text}
                  className={`flex min-h-8 items-center rounded px-3 outline-none data-highlighted:bg-mint ${grave ? 'text-acid-ink' : ''}`}
                  onSelect={onSelect}
                >
                  {text}
                </DropdownMenu.Item>
              ))}
            </div>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
