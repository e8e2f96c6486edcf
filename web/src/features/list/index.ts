export { ORDERS, isOrder } from './orders';
export { PublicationList } from './PublicationList';
