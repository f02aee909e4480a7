import fc from 'fast-check';

// The same documents in every run: a failure here is a failure everywhere.
fc.configureGlobal({ seed: 20_260_302 });
