/** What a test asks of a database and a server may take its time where the machine is at work elsewhere. */
jest.setTimeout(90_000);
