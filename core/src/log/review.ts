/** Questions half a year on. */
export const reviewQuestions = [
  { id: 'used', words: 'What is it used for now, and how often?' },
  { id: 'worth', words: 'What was worth its money?' },
  { id: 'waste', words: 'What was not?' },
  { id: 'surprise', words: 'What surprised you, on the road or at the bench?' },
  { id: 'next', words: 'What would you do otherwise next time?' },
] as const;

/** What is rated, 1 poor to 5 good. */
export const reviewRatings = [
  { id: 'range', words: 'Range' },
  { id: 'hills', words: 'Hills' },
  { id: 'brakes', words: 'Brakes' },
  { id: 'handling', words: 'Handling' },
  { id: 'upkeep', words: 'Little to see to' },
  { id: 'joy', words: 'Joy' },
] as const;

export const againWords = { 'as it is': 'Yes, as it is', otherwise: 'Yes, otherwise', no: 'No' } as const;

/** Days after the first line of the log from which the review is asked for. */
export const REVIEW_AFTER_DAYS = 180;
