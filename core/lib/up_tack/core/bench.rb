# frozen_string_literal: true

module UpTack
  module Core
    # Where records are tried and rules are proven, without touching a real one. A
    # Script says what somebody does, step by step; a Trial plays it in a RecordOverlay, which
    # holds records in memory, over real ones or all by itself. A Proof is a script
    # kept with what must come out of it; a Run holds the two against each other.
    # Coverage says what the runs have really evaluated of each rule.
    module Bench
    end
  end
end
