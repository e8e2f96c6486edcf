export { RequestLine } from './RequestLine';
export { useRequests } from './api';
export { useLend, useLenders } from './lendersApi';
export { DescribedPage } from './DescribedPage';
export { textsKey, useText, useTexts } from './textsApi';
export { Figures } from './Figures';
export { Ways } from './Ways';
