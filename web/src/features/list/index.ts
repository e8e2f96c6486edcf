export { ORDERS, isOrder } from './orders';
export { PublicationList } from './PublicationList';
export { useTicks } from './useTicks';
