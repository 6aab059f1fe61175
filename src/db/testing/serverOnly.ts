// Stands for the package that refuses server files in a browser: tests run on the server's side.
export {};
