export { ORDERS, isOrder } from './orders';
export { ListRow } from './ListRow';
export { Ticked } from './Ticked';
export { useListActs } from './useListActs';
