export { NothingHere as default } from '../../ui/feedback/NothingHere';
