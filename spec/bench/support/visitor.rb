# frozen_string_literal: true

require "json"
require "net/http"

def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

# Somebody at a browser of their own: signed in with one click, with one connection that stays.
class Visitor
  # @param port [Integer]
  # @param person [Integer] number of one of the demo's people
  def initialize(port, person)
    @http = Net::HTTP.new("127.0.0.1", port)
    @http.read_timeout = 900
    @http.start
    @cookies = {}
    @key = ask("POST", "/api/session/demo", {person_id: person}).last["write_key"]
  end

  # @param body [Hash, String, nil] a text is sent as a file
  # @return [Array(Integer, Object)] status and what was answered
  def ask(method, path, body = nil)
    request = Net::HTTP.const_get(method.capitalize).new(path)
    request["cookie"] = @cookies.map { |pair| pair.join("=") }.join("; ") if @cookies.any?
    request["x-write-key"] = @key if @key
    if body
      request["content-type"] = body.is_a?(String) ? "application/octet-stream" : "application/json"
      request.body = body.is_a?(String) ? body : JSON.generate(body)
    end
    answer = @http.request(request)
    answer.get_fields("set-cookie")&.each { |text| @cookies.store(*text.split(";").first.split("=", 2)) }
    [answer.code.to_i, answer["content-type"].to_s.include?("json") ? JSON.parse(answer.body) : answer.body]
  end

  # @return [String] a file that is handed out
  def file(path) = ask("GET", path).then { |code, told| (code == 200) ? told : raise("#{path}: #{told}") }

  # Asks for work that takes long, and waits until it has ended.
  # @return [Object] what it tells
  def work(method, path, body = {})
    code, told = ask(method, path, body)
    while code == 202 || (told.is_a?(Hash) && told["state"] == "running")
      sleep 0.3
      code, told = ask("GET", "/api/jobs/#{told["id"]}")
      raise "#{path}: #{told}" unless code == 200
    end
    raise "#{path}: #{told}" unless code.between?(200, 299)

    (told.is_a?(Hash) && told.key?("state")) ? told["report"] : told
  end
end
