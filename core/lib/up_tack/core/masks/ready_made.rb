# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # Masks to start from. Each is a beginning and can be changed as one likes.
      module ReadyMade
        ALL = [
          {name: "Code with a number", mask: '2UPPER "-" 3DIGIT'},
          {name: "Prefix and number", mask: '"PC-" 5DIGIT'},
          {name: "Phone, area and number", mask: '"0" 1*4DIGIT " " 3DIGIT " " 4DIGIT'},
          {name: "Phone, with country", mask: '"+" 1*3DIGIT " " 1*4DIGIT " " 4*10DIGIT'},
          {name: "Postcode, digits", mask: "5DIGIT"},
          {name: "Postcode, letters and digits", mask: '1*2UPPER 2DIGIT " " 4ALNUM'},
          {name: "Time", mask: '2DIGIT ":" 2DIGIT'},
          {name: "Size, two sides", mask: '1*3DIGIT " x " 1*3DIGIT'},
          {name: "Size, three sides", mask: '1*3DIGIT " x " 1*3DIGIT " x " 1*3DIGIT'},
          {name: "Card or account", mask: '4DIGIT " " 4DIGIT " " 4DIGIT " " 4DIGIT'}
        ].each(&:freeze).freeze
      end
    end
  end
end
