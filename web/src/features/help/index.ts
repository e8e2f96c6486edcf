export { Guide } from './Guide';
export { GuideOffer } from './GuideOffer';
export { HelpLink } from './HelpLink';
export { HelpPage } from './HelpPage';
export { Own } from './Own';
export { Title } from './Title';
