// Reads texts as JSON, answers by each how many parts two packages count: [split-sms, sms-segments-calculator].
const { split } = require('split-sms');
const { SegmentedMessage } = require('sms-segments-calculator');

let texts = '';
process.stdin.setEncoding('utf8');
process.stdin.on('data', (more) => (texts += more));
process.stdin.on('end', () =>
  console.log(
    JSON.stringify(
      JSON.parse(texts).map((text) => [
        split(text).parts.length,
        new SegmentedMessage(text).segmentsCount
      ])
    )
  )
);
