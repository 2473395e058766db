import { photographs, otherPictures } from './photographs';
const run = async () => { for (const p of [otherPictures, photographs]) await p.run({share:1}).then(x=>console.log(p.id,x), e=>console.log(p.id,String(e))); };
void run();
