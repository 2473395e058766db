export { NewThing as default } from '@/things/NewThing';
