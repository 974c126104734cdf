// Stands in for a package that only says where a file may be loaded.
export {};
