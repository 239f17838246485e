/** Titles of a table's columns. */
export function HeadRow({ titles }: { titles: readonly string[] }) {
  return (
    <tr>
      {titles.map((title) => (
        <th key={title} className="pr-3 font-normal">
          {title}
        </th>
      ))}
    </tr>
  );
}
