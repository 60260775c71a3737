<!doctype html><title>Ordotype</title>
