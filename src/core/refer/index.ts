export { COMPETENCES, type ReferAnswer, type ReferRequest, weighReferral } from './refer';
