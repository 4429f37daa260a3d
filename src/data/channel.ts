/** What is told over it of a session is its id and nothing else. */
export const sessionChannel = 'islands_session'
