# frozen_string_literal: true

module UpTack
  # What people do with Up Tack, a folder for each subject and a class for each deed:
  # made with a Workspace, done with `call`.
  module UseCases
  end
end
