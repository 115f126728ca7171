# frozen_string_literal: true

require "rbconfig"

# Ruby is given more room before it collects what is no longer needed: many records in one go
# leave many short-lived objects behind. Commands, which do one thing many times and end, are
# compiled besides, where Ruby was built with its compiler (YJIT); what serves goes on for long
# and defines classes for each state of the design, which that compiler takes badly. Its threads
# share two places from which they take memory: each place keeps what was once needed. All of it
# can be set only before Ruby starts, so the same command is run once more with it. Whoever sets
# any of it by hand is left alone.
ROOM = {
  "MALLOC_ARENA_MAX" => "2",
  "RUBY_GC_HEAP_INIT_SLOTS" => "700000",
  "RUBY_GC_HEAP_FREE_SLOTS" => "300000",
  "RUBY_GC_MALLOC_LIMIT" => "33554432",
  "RUBY_GC_MALLOC_LIMIT_MAX" => "33554432",
  "RUBY_GC_OLDMALLOC_LIMIT" => "33554432"
}.freeze
SERVES = File.basename($PROGRAM_NAME) == "serve.rb"
COMPILING = (defined?(RubyVM::YJIT) && !SERVES) ? ["--yjit", "--yjit-exec-mem-size=16"].freeze : [].freeze
exec(ROOM, RbConfig.ruby, *COMPILING, $PROGRAM_NAME, *ARGV) if ROOM.none? { |name, _| ENV.key?(name) }
