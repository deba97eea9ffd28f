@extends('errors::minimal')
