/** What is counted from a learner's reading comes with it; any other figure that is not there, this plan does not have. */
const READ = ['depth.reading', 'ease.reading'];
export const absent = (name: string) => (READ.includes(name) ? 'figure.notYet' : 'figure.none');
