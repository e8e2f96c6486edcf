import { Act } from './Act';

/** An order of a list: its word, what it is called, and what it is called the other way round. */
type Order = readonly [word: string, name: string, turned: string];

/** Chooses an order, and turns it round; `-` stands before the word of one that is turned. */
export function OrderChoice({
  orders,
  order,
  onOrder,
}: {
  orders: readonly Order[];
  order: string;
  onOrder: (order: string) => void;
}) {
  const reverse = order.startsWith('-');
  const plain = reverse ? order.slice(1) : order;
  const known = orders.find(([word]) => word === plain);
  return (
    <span className="flex items-baseline gap-2 text-soft">
      <select
        aria-label="Order"
        className="min-h-[24px] cursor-pointer bg-base-100"
        value={plain}
        onChange={(event) => onOrder(event.target.value)}
      >
        {orders.map(([word, name, turned]) => (
          <option key={word} value={word}>
            {reverse && word === plain ? turned : name}
          </option>
        ))}
      </select>
      <Act onClick={() => onOrder(reverse ? plain : `-${plain}`)}>
        {(reverse ? known?.[1] : known?.[2]) ?? 'the other way round'}
      </Act>
    </span>
  );
}
